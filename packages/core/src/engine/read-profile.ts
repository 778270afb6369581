import { Value } from '@sinclair/typebox/value'
import { inPresentWords } from '../exchange/present-words.ts'
import { unknownNames } from './connection.ts'
import { EngineProfile } from './profile.ts'

/** What is wrong with a given profile, and where in it (a JSON Pointer, RFC 6901). */
export interface ProfileProblem {
  at: string
  says: string
}

const repeated = (names: readonly string[]): number => names.findIndex((name, i) => names.indexOf(name) !== i)
/** Settings that every engine is given in one form or another, under names of their own. */
const COMMON = new Set(['aspectRatio', 'width', 'height', 'count', 'seed'])

/** Where a profile of the right shape contradicts itself. */
export function contradictionsOf(profile: EngineProfile): ProfileProblem[] {
  const found: ProfileProblem[] = []
  const say = (at: string, says: string) => found.push({ at, says })
  profile.settings.forEach((setting, i) => {
    const at = `/settings/${i}`
    if (COMMON.has(setting.key)) say(`${at}/key`, `“${setting.key}” is a setting that every engine has; give this one another key.`)
    if (setting.kind === 'number') {
      if (setting.min > setting.max) say(`${at}/min`, `“${setting.label}” begins at ${setting.min} and ends at ${setting.max}; the least must not be more than the most.`)
      else if (setting.default < setting.min || setting.default > setting.max) say(`${at}/default`, `“${setting.label}” is usually ${setting.default}, which is outside ${setting.min} to ${setting.max}.`)
      else if (setting.step > setting.max - setting.min && setting.max > setting.min) say(`${at}/step`, `“${setting.label}” goes by ${setting.step}, which is more than it has room for.`)
    } else {
      if (!setting.values.includes(setting.default)) say(`${at}/default`, `“${setting.label}” is usually “${setting.default}”, which is none of its values.`)
      if (repeated(setting.values) >= 0) say(`${at}/values/${repeated(setting.values)}`, `“${setting.label}” has a value twice.`)
    }
  })
  const keys = repeated(profile.settings.map(({ key }) => key))
  if (keys >= 0) say(`/settings/${keys}/key`, `Two settings have the key “${profile.settings[keys]!.key}”.`)
  const sizes = repeated(profile.sizes.map(({ aspectRatio, width }) => `${aspectRatio}, ${width} pixels wide,`))
  if (sizes >= 0) say(`/sizes/${sizes}/aspectRatio`, `The aspect ratio ${profile.sizes[sizes]!.aspectRatio} stands twice with one width.`)
  profile.sizes.forEach(({ aspectRatio, width, height }, i) => {
    const [w = 1, h = 1] = aspectRatio.split(':').map(Number)
    if (Math.abs(width / height / (w / h) - 1) > 0.05) say(`/sizes/${i}`, `${width} by ${height} pixels is not ${aspectRatio}.`)
  })
  const order = repeated(profile.facetOrder ?? [])
  if (order >= 0) say(`/facetOrder/${order}`, `The order names ${profile.facetOrder![order]!} twice.`)
  if (profile.emphasis === 'repetition' && profile.reads === 'json') say('/emphasis', 'What is said by facet cannot be repeated; choose weights, order or none.')
  if (profile.connection) {
    const { url, poll, cancel, body } = profile.connection
    const web = (address: string) => /^https?:\/\/[^\s/?#]+/i.test(address) && !/^https?:\/\/[^/]*@/i.test(address)
    if (!web(url)) say('/connection/url', 'This must be an http or https address without a name or a password in it.')
    if (poll && !web(poll.url)) say('/connection/poll/url', 'This must be an http or https address without a name or a password in it.')
    if (poll && !poll.url.includes('{id}')) say('/connection/poll/url', 'It must say where the {id} of the request goes.')
    if (poll?.failed.some((state) => poll.done.includes(state))) say('/connection/poll/failed', 'A state cannot mean both done and failed.')
    if (cancel && !web(cancel.url)) say('/connection/cancel/url', 'This must be an http or https address without a name or a password in it.')
    if (!JSON.stringify(body).includes('{prompt}')) say('/connection/body', 'Nothing of what is sent is the {prompt}.')
    if (profile.honoursIdempotencyKey && !profile.connection.keyHeader && !JSON.stringify(body).includes('{key}')) say('/honoursIdempotencyKey', 'It honours a key that is nowhere sent; name the header, or put {key} into what is sent.')
    for (const { at, name } of unknownNames(profile.connection)) say(at, `Nothing fills in {${name}}.`)
  }
  for (const key of profile.refuses ?? []) if (profile.settings.some((setting) => setting.key === key)) say('/refuses', `It both takes and refuses “${key}”.`)
  return found
}

/** A profile from outside. Nothing is filled in: what is missing or contradicts itself is said with its place. */
export function readProfile(from: unknown): { profile: EngineProfile } | { problems: ProfileProblem[] } {
  const given = inPresentWords(from)
  if (!Value.Check(EngineProfile, given)) {
    const problems = [...Value.Errors(EngineProfile, given)].map(({ path, message, value }): ProfileProblem => ({ at: path || '/', says: value === undefined ? 'This must be there.' : `${message.replace(/^Expected/, 'This must be')}.` }))
    // One problem a place: a union tells each of its members.
    return { problems: problems.filter(({ at }, i) => problems.findIndex((other) => other.at === at) === i).slice(0, 20) }
  }
  const problems = contradictionsOf(given)
  return problems.length ? { problems } : { profile: given }
}
