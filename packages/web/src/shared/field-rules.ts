/** What a field's rule answers: all is well, or the sentence that stands under the field. */
export type Ruled = true | string
export type Rule = (value: unknown) => Ruled

const said = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? String(value).trim() : '')

/** Something must stand in the field. */
export const needed: Rule = (value) => said(value) !== '' || 'Fill this in.'

/** A number from `min` to `max`, both included; an empty field is somebody else's matter. */
export const between =
  (min: number, max: number): Rule =>
  (value) => {
    if (said(value) === '') return true
    const number = Number(value)
    return (Number.isFinite(number) && number >= min && number <= max) || (max === Infinity ? `A number from ${min} up.` : `A number from ${min} to ${max.toLocaleString('en')}.`)
  }

/** A number without a fraction. */
export const whole: Rule = (value) => said(value) === '' || Number.isInteger(Number(value)) || 'A whole number.'

/** At most so many letters. */
export const atMost =
  (letters: number): Rule =>
  (value) =>
    said(value).length <= letters || `At most ${letters.toLocaleString('en')} letters; this has ${said(value).length.toLocaleString('en')}.`

/** Text that a pattern describes; `says` is the sentence that stands under the field where it does not. */
export const shaped =
  (pattern: RegExp, says: string): Rule =>
  (value) =>
    said(value) === '' || pattern.test(said(value)) || says
