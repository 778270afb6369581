import { type EngineProfile, sayLimit } from '@idolon/core'

const READS: Record<EngineProfile['reads'], string> = {
  sentences: 'whole sentences',
  keywords: 'lists of keywords',
  either: 'sentences or lists, as they are written',
  json: 'a JSON object by facet',
}
const EMPHASIS: Record<EngineProfile['emphasis'], string> = {
  order: 'by order: what comes first weighs more',
  repetition: 'by saying it again',
  weights: 'as a field of weights',
  none: 'not at all: every phrase weighs the same',
}

/** What a profile says, as rows of a name and plain words. */
export function profileRows(profile: EngineProfile): { name: string; says: string }[] {
  const { limit, facetOrder, figures, lettering, refuses } = profile
  const rows = [
    { name: 'Reads', says: READS[profile.reads] },
    { name: 'As far as', says: limit ? `${sayLimit(limit)}; what is longer is ${profile.pastLimit === 'refuses' ? 'refused' : 'not read'}` : 'there is text' },
    { name: 'Leave-out list', says: profile.leaveOut ? 'taken' : 'not taken; Idolon says what is there instead, or that it is lost' },
    { name: 'Emphasis', says: EMPHASIS[profile.emphasis] },
    ...(facetOrder?.length ? [{ name: 'In the order', says: facetOrder.join(', ') }] : []),
    ...(figures === undefined ? [] : [{ name: 'Figures', says: figures === 0 ? 'none drawn well' : `up to ${figures} drawn well` }]),
    ...(lettering === undefined ? [] : [{ name: 'Lettering', says: lettering === 0 ? 'spelled badly' : `up to ${lettering} words spelled well` }]),
    ...(refuses?.length ? [{ name: 'Takes no', says: refuses.join(', ') }] : []),
  ]
  return rows
}

/** The settings an engine takes, as rows of a table. */
export const settingRows = ({ settings }: EngineProfile) => settings.map((setting) => ({ key: setting.key, label: setting.label, default: setting.default, says: setting.says, takes: setting.kind === 'number' ? `${setting.min} to ${setting.max} by ${setting.step}` : setting.values.join(', ') }))

/** Ways in which the simulated engines misbehave for practice, as what “it” does. */
const PRACTICE = {
  busy: 'is busy and asks to wait',
  fail: 'fails',
  refuse: 'refuses on grounds of policy',
  drop: 'drops the connection',
  'cut-off': 'is cut off in its answer',
  'not-json': 'answers with a web page',
  'wrong-type': 'answers with plain text',
  'not-a-picture': 'sends what is no picture',
  'cut-picture': 'sends half a picture',
  'wrong-size': 'sends a picture of another shape',
  'wrong-count': 'sends no picture at all',
  huge: 'sends 200 MB',
  hang: 'never answers',
  none: 'behaves',
} as const

export { EMPHASIS, PRACTICE, READS }
