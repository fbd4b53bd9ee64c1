/** What is used here of the package `ipp`, which ships no types: messages are written by it; what comes from outside is not read by it. */
declare module 'ipp' {
  const ipp: { serialize: (message: object) => Buffer; parse: (bytes: Buffer) => unknown }
  export default ipp
}
