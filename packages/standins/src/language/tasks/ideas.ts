import { headOf, singularOf } from '@idolon/core/reader'
import { type Asked, linesOf, shuffle } from '../asked.ts'
import { heardIn } from '../heard.ts'
import { type Kind, subjectOf } from '../kinds.ts'
import { knowledge } from '../tables.ts'
import { ACTORS, DOINGS, PLACES, QUALITIES, TIMES, WITH_THING } from '../words/ideas.ts'
import { withArticle } from '../write.ts'

const content = (text: string) => new Set((text.toLowerCase().match(/\p{L}{4,}/gu) ?? []).map(singularOf))
/** Whether two lines share so much that one is hardly another idea. */
function alike(a: string, b: string): boolean {
  const [x, y] = [content(a), content(b)]
  const shared = [...x].filter((word) => y.has(word)).length
  return shared >= Math.max(2, Math.min(x.size, y.size) * 0.5)
}

/** What a brief is about: its first nouns that can be seen, else its first phrase. */
function themeOf(text: string): { said: string; kind: Kind; when: string | undefined } {
  const heard = heardIn(text)
  const moment = heard.phrases.find(({ facet }) => facet === 'moment')
  const first = heard.phrases.find(({ facet, text: said }) => ['subject', 'setting', 'detail', 'action'].includes(facet) && said.split(' ').length <= 4) ?? heard.phrases.find(({ facet }) => facet === 'subject')
  if (moment && (!first || text.trim().split(/\s+/).length <= 3)) return { said: moment.text, kind: 'event', when: moment.text }
  const words = (first?.text ?? text).trim().split(/\s+/).slice(0, 4).join(' ').replace(/^(?:an?|the|some|posters? for|pictures? of)\s+/i, '').replace(/[.,;:!?]+$/, '')
  return { said: words, kind: subjectOf(words).kind, when: undefined }
}

const group = (kind: Kind): keyof typeof DOINGS => (kind === 'person' ? 'person' : ['animal', 'bird', 'insect', 'fish'].includes(kind) ? 'creature' : 'other')
/** What is drawn as one of several, in the singular where it was many. */
function one(said: string): string {
  const head = headOf(said)
  const single = singularOf(head)
  return single !== head && knowledge().reader.words.find(single) ? said.replace(new RegExp(`\\b${head}\\b`, 'i'), single) : said
}

/** Lines that are no idea twice: each with a subject or an action, a place and an hour of its own. */
export function ideasFor(theme: string, count: number, { random, unlike, likeOne }: { random: () => number; unlike: readonly string[]; likeOne: boolean }): string[] {
  const { said, kind, when } = themeOf(theme)
  const actors = shuffle(ACTORS, random)
  const places = shuffle(PLACES, random)
  const times = shuffle(TIMES, random)
  const qualities = shuffle(QUALITIES[group(kind)], random)
  const doings = shuffle(DOINGS[group(kind)], random)
  const ties = shuffle(WITH_THING, random)
  const thing = one(said)
  const ofTheme = (i: number) => withArticle(`${qualities[i % qualities.length] ?? ''} ${thing}`, true)
  const make = (i: number): string => {
    const place = places[i % places.length] ?? ''
    const time = when ? /^(?:in|on|at|during)\b/i.test(when) ? when : `in ${when}` : (times[i % times.length] ?? '')
    if (when) {
      const [who, does] = actors[i % actors.length]!
      return `${who} ${does} ${place}, ${time}`
    }
    if (group(kind) !== 'other' && (likeOne || i % 4 !== 3)) return `${ofTheme(i)} ${doings[i % doings.length] ?? ''} ${place} ${time}`
    if (i % 3 === 2) return `${ofTheme(i)} ${DOINGS.other[(i * 7 + Math.floor(random() * 3)) % DOINGS.other.length] ?? ''} ${place} ${time}`
    const [who, does] = actors[i % actors.length]!
    return `${who} ${does} ${(ties[i % ties.length] ?? '').replace('{a}', ofTheme(i))} ${time}`
  }
  const found: string[] = []
  for (let i = 0; found.length < count && i < count * 6; i++) {
    const idea = make(i).replace(/\s+/g, ' ').trim()
    if (![...unlike, ...(when ? found : [])].some((other) => alike(idea, other))) found.push(idea)
  }
  return found
}

/** Ideas on a theme, or along the lines of one, unlike what is there already. */
export function ideasTask({ given, told, random, habits }: Asked): { ideas: string[] } {
  const like = given('like')
  const theme = given('theme') || like || given('prompt') || 'a walk'
  const unlike = [...linesOf(given('existing')), ...linesOf(given('takes')), ...linesOf(given('unlike')), ...(like ? [like] : [])]
  return { ideas: ideasFor(like ? (heardIn(like).phrases.find(({ facet }) => facet === 'subject')?.text ?? like) : theme, told.count ?? (habits.terse ? 8 : 10), { random, unlike, likeOne: like !== '' }) }
}
