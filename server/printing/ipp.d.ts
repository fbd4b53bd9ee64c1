/** What is used here of the package `ipp`, which ships no types. */
declare module 'ipp' {
  const ipp: { serialize: (message: object) => Buffer; parse: (bytes: Buffer) => unknown }
  export default ipp
}
