import { wordSet } from '../english/word-set.ts'
import { headOf } from '../english/noun.ts'
import type { Facet } from '../facet.ts'
import type { WordTable } from '../read/words/word-table.ts'

const STAND_ON = wordSet(
  `table tabletop countertop shelf road roadside path trail street pavement sidewalk bridge roof rooftop balcony terrace porch veranda deck raft boat ship stage platform plinth pedestal stand slab tray plate
hill hilltop hillside slope ridge mountaintop cliff clifftop ledge dune beach shore shoreline seashore riverbank bank coast island quay dock pier jetty wharf ice snow lawn floor ground surface bench sofa couch chair stool bed rug carpet
windowsill sill doorstep staircase stairs steps ladder branch rock rocks stone stones lake river sea ocean canal pond plain plateau steppe savanna savannah moor farm ranch planet moon horizon cobblestones tarmac field-edge board cloth tablecloth blanket`,
)
const STAND_AT = wordSet('station crossroads crossing entrance gate gateway harbour harbor edge foot end top bottom base mouth bar counter desk window doorway threshold fair funfair bus-stop stop border summit peak altar')
const BEHIND_IT = wordSet('background backdrop wall sky skyline seamless')
const CLOCK = wordSet('dawn dusk noon midday midnight night sunrise sunset sundown twilight daybreak nightfall hour light tide daytime nighttime lunchtime teatime christmas easter halloween solstice equinox moonrise')
const VIEWPOINTS = wordSet('angle viewpoint view perspective point vantage above below behind side front afar distance overhead underneath inside eye')
const LEVELS = wordSet('level height')
const SHOTS = wordSet('shot close-up closeup portrait profile silhouette section cutaway cross-section elevation format crop frame')
const LIT_UNDER = wordSet('sun sky moon stars lamp lamps streetlight streetlights spotlight spotlights lights bulb chandelier')
const OVERHEAD = wordSet('cloud clouds sky skies')
/** Spans of time that take “the”: the afternoon, the 1890s, the late autumn of a year. */
const THE_TIME = /(?:^(?:morning|afternoon|evening|day|past|future)$|\d0s$|(?:era|period|age|ages|century|season)$)/i

/** The article that a phrase of time wants after its leading word, other than “a”; an empty string for none. */
export const articleOfTime = (said: string): 'the' | '' => (THE_TIME.test(said) ? 'the' : '')

/** Levels are named without an article: “at eye level”. */
export const isLevel = (said: string): boolean => LEVELS.has(headOf(said))

/** Kinds of thing that are worn: clothing, headdress, footwear (their numbers in the table of words). */
const WORN = new Set([0, 1, 3])

/**
 * The word that ties a phrase of a facet to a sentence where nothing else was said: “in” a yard, “on” a bridge,
 * “at” noon, “from” a low angle. An empty string for what stands by itself.
 */
export function leadFor(facet: Facet, said: string, words: WordTable): string {
  const head = headOf(said)
  const last = head.split('-').at(-1) ?? head
  const is = (list: ReadonlySet<string>) => list.has(head) || list.has(last)
  switch (facet) {
    case 'setting':
      if (/\b(?:behind|around|beyond|beside|below|above)\s+(?:him|her|it|them)\b/i.test(said)) return 'with'
      return is(STAND_ON) ? 'on' : is(STAND_AT) ? 'at' : is(BEHIND_IT) ? 'against' : 'in'
    case 'moment':
      return is(LIT_UNDER) || is(OVERHEAD) ? 'under' : is(CLOCK) ? 'at' : /(?:day|morning|afternoon|evening|night|noon)$/.test(head) && said.includes(' ') ? 'on' : 'in'
    case 'framing':
      return is(LEVELS) ? 'at' : is(VIEWPOINTS) ? 'from' : is(SHOTS) ? 'in' : 'with'
    case 'light':
      return is(LIT_UNDER) ? 'under' : 'in'
    case 'colour':
    case 'medium':
      return 'in'
    case 'detail': {
      const facts = words.find(head)
      return facts && WORN.has(facts.kind1) ? 'in' : 'with'
    }
    case 'technique':
      return /^[fƒ]\/|^\d+\/\d+/.test(said) ? 'at' : 'with'
    default:
      return ''
  }
}
