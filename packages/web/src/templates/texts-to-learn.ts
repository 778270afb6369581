import type { TemplateBody } from '@idolon/core'

interface Waiting {
  /** Texts whose frame is to be found. */
  learn?: string[]
  /** A template that is begun already. */
  body?: TemplateBody
}
let waiting: Waiting | undefined

/** Hands texts or a begun template to the view of templates that is opened next. */
export const giveTexts = (given: Waiting): void => void (waiting = given)
/** What was handed over, once. */
export function takeTexts(): Waiting | undefined {
  const given = waiting
  waiting = undefined
  return given
}
