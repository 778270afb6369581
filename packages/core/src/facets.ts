/** The twelve kinds of thing a phrase can say, in the order a prompt is usually written. */
export const FACETS = [
  'subject',
  'action',
  'detail',
  'setting',
  'moment',
  'framing',
  'light',
  'colour',
  'medium',
  'technique',
  'mood',
  'lettering',
] as const
