import { type Facet, FACETS } from '@idolon/core'
import { type Asked, shuffle } from '../asked.ts'
import { aboutOf } from '../fill.ts'
import { heardIn } from '../heard.ts'
import { knowledge } from '../tables.ts'
import { HOURS, lightsOf, NEUTRAL_LIGHTS } from '../words/hours.ts'
import { MEDIA, PLAIN_TECHNIQUES } from '../words/media.ts'
import { ACTIONS, DETAILS, FRAMINGS, SETTINGS } from '../words/scenes.ts'

const PARTS = ['dawn', 'morning', 'noon', 'afternoon', 'dusk', 'night'] as const
/** What is asked first: what changes a picture most. */
const ORDER: readonly Facet[] = ['setting', 'medium', 'action', 'light', 'moment', 'framing', 'mood', 'colour', 'detail', 'technique', 'subject']

const QUESTIONS: Readonly<Record<Exclude<Facet, 'lettering'>, readonly string[]>> = {
  subject: ['Who or what is the picture of?', 'What should one look at first?'],
  action: ['What is {it} doing?', 'What happens with {it}?'],
  detail: ['What does one see of {it} on a second look?', 'What is {it} made of, wearing or holding?'],
  setting: ['Where is {it}?', 'What surrounds {it}?'],
  moment: ['When does it happen?', 'Which hour is it?'],
  framing: ['How near is {it} seen, and from where?', 'From what height and distance is {it} seen?'],
  light: ['Where does the light come from, and how hard is it?', 'How is {it} lit?'],
  colour: ['Which colours hold the whole together?', 'What is the palette?'],
  medium: ['What kind of picture is it?', 'Is it a photograph, a painting or a print?'],
  technique: ['How is it made?', 'What shows of how it is made?'],
  mood: ['How should it feel?', 'What should one feel in front of it?'],
}

/** Questions about what a draft says nothing of, the weightiest first. */
export function askMeTask({ given, told, random, way, habits }: Asked): { questions: { facet: Facet; question: string; answers: string[] }[] } {
  const text = given('prompt')
  const heard = heardIn(text)
  const { phrase, subject } = aboutOf(text, heard)
  // A name stands as it is; of anything else “the” is said.
  const bare = phrase.replace(/^(?:an?|the|his|her)\s+/i, '')
  const isName = /^\p{Lu}/u.test(bare) && knowledge().reader.words.find(bare.toLowerCase().split(/\s/)[0] ?? '') === undefined
  const them = text.trim() === '' ? 'it' : isName ? bare : `the ${bare.toLowerCase()}`
  const all = { subject: ['an old ferryman', 'a red fox', 'a stone bridge', 'a glass jar of honey'], action: ACTIONS[subject.kind], detail: DETAILS[subject.kind], setting: SETTINGS[subject.kind].filter(({ place }) => !heard.place || place === heard.place).map(({ said }) => said), moment: PARTS.map((part) => HOURS[part].said[way % 3] ?? part), framing: FRAMINGS[subject.kind], light: [...lightsOf(heard.part, heard.place ?? 'out'), ...NEUTRAL_LIGHTS], colour: PARTS.flatMap((part) => (heard.part && part !== heard.part ? [] : HOURS[part].colours)), medium: MEDIA.map(({ said }) => said), technique: heard.medium?.techniques ?? PLAIN_TECHNIQUES, mood: PARTS.flatMap((part) => (heard.part && part !== heard.part ? [] : HOURS[part].moods)) } satisfies Record<Exclude<Facet, 'lettering'>, readonly string[]>
  const missing = ORDER.filter((facet): facet is Exclude<Facet, 'lettering'> => facet !== 'lettering' && !heard.has.has(facet) && FACETS.includes(facet))
  return {
    questions: missing.slice(0, told.count ?? (habits.terse ? 5 : 8)).map((facet) => ({
      facet,
      question: (QUESTIONS[facet][way % 2] ?? '').replace('{it}', them),
      answers: [...new Set(shuffle(all[facet], random))].slice(0, 4),
    })),
  }
}
