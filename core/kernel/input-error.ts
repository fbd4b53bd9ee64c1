/**
 * Bad input to a computation: names the field, says what was wrong and what would do.
 * The server answers 422 with the same, the form shows it at the field.
 */
export class InputError extends Error {
  readonly code = 'bad-input'

  constructor(
    /** Path of the field, dotted, as in `rails.0.nominalV`. */
    readonly field: string,
    /** What was given. */
    readonly value: unknown,
    /** What was wrong and what would do, one or two sentences. */
    message: string,
  ) {
    super(message)
    this.name = 'InputError'
  }
}
