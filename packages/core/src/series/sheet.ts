import { headOf, singularOf } from '../english/noun.ts'
import type { WordTable } from '../read/words/word-table.ts'
import { composeScene, type PartNow } from './compose.ts'
import type { Draft } from '../draft/shape.ts'
import type { PartBody } from './part.ts'
import { blankScene } from './scene.ts'
import type { SheetList } from './sheet-places.ts'
import { beingWorth, isAnimal } from './story/beings.ts'

const POSES = {
  person: ['standing upright', 'walking', 'sitting on a low stool', 'kneeling on one knee', 'reaching up with one arm'],
  animal: ['standing still', 'walking', 'lying down', 'looking back over its shoulder', 'about to leap or fly off'],
  thing: ['standing upright', 'lying on its side', 'held in one hand', 'taken apart, its parts side by side'],
} as const
const EXPRESSIONS = {
  person: ['a calm face', 'smiling', 'frowning', 'surprised, mouth open', 'laughing', 'tired, eyes half closed'],
  animal: ['calm and watchful', 'alert, head raised', 'frightened', 'asleep'],
  thing: [],
} as const
const ANGLES = ['seen from the front', 'seen from the left side', 'three-quarter view', 'seen from behind']

/** What a part is, as far as it decides how it can stand: the first of its phrases and names that is somebody says it. */
function kindOf({ says, name, again, also }: Pick<PartBody, 'says' | 'name' | 'again' | 'also'>, words: WordTable): keyof typeof POSES {
  const heads = [...says.map(({ text }) => text), again, ...also, name].map((said) => singularOf(headOf(said))).filter(Boolean)
  for (const head of heads) {
    // A clockwork bird moves as a bird does.
    if (isAnimal(head, words)) return 'animal'
    if (beingWorth(head, words) >= 0.5) return 'person'
  }
  // A name that no dictionary has is somebody's, where nothing says what it is.
  const [first = name] = says.map(({ text }) => text)
  return /^\p{Lu}/u.test(first) && words.indexOf(headOf(first)) < 0 ? 'person' : 'thing'
}

/** What a sheet of a character goes through: poses, expressions, its dress where that may change, and angles. */
export function sheetLists(body: PartBody, words: WordTable): SheetList[] {
  const kind = kindOf(body, words)
  const dress = [...new Set(body.variants.filter(({ aspect, text }) => aspect === 'dress' && text.trim()).map(({ text }) => text.trim().replace(/[.,;]+$/, '')))]
  const lists: SheetList[] = [
    { name: 'pose', facet: 'action', options: POSES[kind] },
    { name: 'expression', facet: 'action', options: EXPRESSIONS[kind] },
    { name: 'dress', facet: 'detail', options: dress },
    { name: 'angle', facet: 'framing', options: ANGLES },
  ]
  return lists.filter(({ options }) => options.length > 1)
}

/** The draft of a sheet: the character by itself on a plain ground, in the first option of everything, drawn in a style. */
export function sheetDraft(part: PartNow, style: PartNow | null, words: WordTable): Pick<Draft, 'text' | 'marks' | 'leaveOut' | 'references' | 'settings' | 'engines'> {
  const dress = part.body.variants.find(({ aspect, text }) => aspect === 'dress' && text.trim())
  const of = (name: SheetList['name']) => sheetLists(part.body, words).find((list) => list.name === name)?.options[0]
  const said = [of('pose'), of('expression'), of('angle')].filter(Boolean).join(', ')
  const scene = { ...blankScene(), words: `${part.body.name}, ${said}, on a plain pale ground`, framing: 'full figure, centred' }
  return composeScene(scene, { cast: [{ part, variants: dress ? [dress.key] : [] }], place: null, style }, words)
}
