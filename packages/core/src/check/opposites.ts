import { singularOf } from '../english/noun.ts'
import { isFunctionWord } from '../read/words/function-words.ts'
import type { TextRange } from '../text-range.ts'
import type { Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { removing } from './fixes.ts'
import { isMeant } from './meant.ts'

/** Qualities that one thing cannot have together, a pair of groups a line. */
const OPPOSITES = `
tiny little small miniature minuscule diminutive pocket-sized teeny petite | huge enormous gigantic colossal giant massive immense vast towering monumental oversized
fat plump stout obese rotund portly chubby corpulent | thin skinny slender slim gaunt lean emaciated scrawny bony
tall lanky towering | short squat stubby
open ajar unlocked opened | shut closed locked bolted barred sealed boarded-up shuttered
lit alight glowing burning blazing lighted illuminated flickering ablaze | unlit extinguished dark unlighted burnt-out snuffed darkened
smooth polished glassy sleek even silky | rough coarse rugged craggy bumpy jagged uneven gnarled wrinkled
wet soaked soaking drenched dripping sodden damp sopping waterlogged | dry bone-dry parched arid dried
empty bare vacant deserted abandoned unoccupied drained | full crowded packed overflowing brimming bustling crammed occupied teeming stuffed cluttered thronged laden
old aged elderly ancient worn | young youthful newborn brand-new baby teenage
new brand-new pristine spotless immaculate | old rusty rusted battered derelict ruined worn-out decrepit dilapidated crumbling worn threadbare tattered
clean spotless pristine immaculate gleaming | dirty filthy grimy muddy grubby soiled mud-caked dusty stained
transparent see-through translucent clear crystal-clear | opaque murky cloudy muddy
sharp crisp tack-sharp razor-sharp focused | blurry blurred out-of-focus hazy
matte dull lustreless tarnished | glossy shiny gleaming polished glittering lustrous lacquered sparkling
straight ramrod-straight unbending | crooked bent curved winding twisted curly wavy zigzag
flat level | hilly mountainous steep spiky
narrow slim cramped tight | wide broad spacious
heavy leaden | weightless feather-light lightweight
hot boiling scalding red-hot steaming burning | cold icy frozen ice-cold frosty freezing chilled
calm still glassy placid tranquil motionless unruffled serene | stormy raging rough choppy wild turbulent tempestuous churning heaving
motionless still unmoving stationary frozen parked | running racing speeding galloping moving rushing whirling spinning swirling flowing galloping charging
silent quiet hushed mute | loud noisy roaring shouting screaming deafening blaring singing
asleep sleeping dozing slumbering | awake wide-awake running leaping dancing galloping jumping sprinting shouting fighting
dead lifeless withered wilted wilting | living alive blooming flourishing blossoming thriving lively
naked nude unclothed bare-chested undressed | clothed dressed robed armoured fully-clothed
bald hairless shaven-headed | long-haired curly-haired hairy shaggy furry fluffy
intact unbroken whole undamaged unscathed | broken shattered cracked smashed ruined damaged collapsed torn
bright brilliant radiant dazzling brightly-lit sunlit sun-drenched luminous | dark gloomy dim pitch-dark pitch-black murky unlit shadowy moonless
colourful colorful multicoloured rainbow-coloured vivid vibrant saturated | colourless colorless monochrome monochromatic grey black-and-white desaturated
vivid vibrant saturated garish neon | muted faded washed-out subdued pale drab
simple plain unadorned undecorated minimal minimalist spartan austere | ornate elaborate intricate richly-decorated baroque lavish cluttered
symmetrical symmetric | asymmetrical asymmetric lopsided
raw uncooked | cooked roasted roast fried grilled charred
frozen ice-bound iced-over | flowing rushing thawed boiling melted
happy cheerful smiling laughing joyful grinning beaming merry | sad weeping crying sobbing mournful sorrowful miserable grieving tearful unsmiling
angry furious enraged | calm serene placid
round circular spherical | square rectangular triangular cubic box-shaped
horizontal | vertical upright
rich wealthy opulent | poor ragged destitute penniless
modern futuristic contemporary | medieval ancient prehistoric
cloudless clear sunny | overcast cloudy stormy rainy
deep | shallow
seated sitting kneeling reclining | standing upright
blind blindfolded eyeless | wide-eyed
solitary lone single lonely | crowded countless
old elderly aged ancient | baby infant toddler newborn child
snowy snow-covered frosty snowbound icy | tropical sun-baked sweltering
male | female pregnant
legless wingless headless | winged
leafless bare | leafy lush
unlit dark | sunlit moonlit floodlit candlelit
`
/** By quality, its opposites. */
const against = new Map<string, Set<string>>()
for (const line of OPPOSITES.trim().split('\n')) {
  const [a = [], b = []] = line.split(' | ').map((side) => side.split(' '))
  for (const [these, those] of [[a, b], [b, a]] as const)
    for (const word of these) against.set(word, new Set([...(against.get(word) ?? []), ...those]))
}

const WORD = /[\p{L}\p{N}]+(?:[’'-][\p{L}\p{N}]+)*/gu
/** Of these a picture has only one, so that two mentions are of the same. */
const ONE_OF_A_KIND = new Set('sky sea sun moon horizon background backdrop light ocean air water room weather scene picture composition palette'.split(' '))
const ADJECTIVE = 2
const ADVERB = 3
const NOUN = 0
const UNSEEN = 4

interface Quality extends TextRange {
  word: string
  /** What has the quality, in the singular. */
  of: string
  /** Whether it is said of something named before: “the door”, “its sails”. */
  definite: boolean
  /** Where the run of words that describes one thing begins. */
  run: number
  /** Whether the word is the noun itself. */
  noun: boolean
  plural: boolean
}
const PLURAL = /(?:[^s]s|men|people|children|folk|mice|geese|feet)$/

/** What is said of the things of a text: “a tiny dragon”, “the door is firmly shut”, “a lantern that is unlit”. */
function qualitiesOf({ shown, lower, language }: Checked): Quality[] {
  const words = [...lower.matchAll(WORD)].map((match) => ({ word: match[0], start: match.index, end: match.index + match[0].length }))
  /** The class a word is of; where no text that was counted has it, the first class it can be of. */
  const main = (word: string) => {
    const facts = language.words.find(word)
    return facts && facts.main >= UNSEEN ? (facts.classes & 4 ? ADJECTIVE : facts.classes & 1 ? NOUN : undefined) : facts?.main
  }
  const joined = (i: number) => /^[\s,]*$/.test(shown.slice(words[i]!.end, words[i + 1]?.start ?? 0))
  const close = (i: number) => /^\s+$/.test(shown.slice(words[i]!.end, words[i + 1]?.start ?? 0))
  /** Where the qualities before a word begin; “a tiny and huge dragon” is one run of them. */
  const beginning = (i: number): number => {
    let run = i
    while (run > 0 && ((joined(run - 1) && (against.has(words[run - 1]!.word) || main(words[run - 1]!.word) === ADJECTIVE || main(words[run - 1]!.word) === ADVERB)) || (words[run - 1]!.word === 'and' && run > 1 && against.has(words[run - 2]!.word)))) run--
    return run
  }
  const found: Quality[] = []
  words.forEach(({ word, start, end }, i) => {
    if (!against.has(word)) return
    // Before its noun: over further qualities to the last noun of the run.
    let head: number | undefined
    let j = i + 1
    for (; j < words.length && joined(j - 1); j++) {
      const next = words[j]!.word
      const kind = isFunctionWord(next) && next !== 'very' ? undefined : main(next)
      if (against.has(next) || ((kind === ADJECTIVE || kind === ADVERB) && head === undefined)) { if (head !== undefined) break; continue }
      if ((next === 'and' || next === 'but') && head === undefined && against.has(words[j + 1]?.word ?? '')) continue
      if ((head !== undefined && !close(j - 1)) || kind !== NOUN) break
      head = j
    }
    const before = words[i - 1]?.word
    // A noun that says a quality by itself: “an old baby”.
    if (head === undefined && j - 1 > i && main(words[j - 1]!.word) === NOUN && close(j - 2)) head = j - 1
    if (head !== undefined && (close(i) || against.has(words[i + 1]!.word))) {
      const run = beginning(i)
      const of = singularOf(words[head]!.word)
      const plural = PLURAL.test(words[head]!.word)
      const definite = /^(?:the|his|her|its|their)$/.test(words[run - 1]?.word ?? '')
      found.push({ word, start, end, of, definite, run, noun: false, plural })
      const itself = words[head]!
      if (against.has(itself.word)) found.push({ word: itself.word, start: itself.start, end: itself.end, of, definite, run, noun: true, plural })
      return
    }
    // After it: “the door (is) (firmly) shut”, “a lantern that is unlit”.
    let k = i - 1
    if (k >= 0 && before?.endsWith('ly') && close(k)) k--
    let linked = false
    while (k >= 0 && /^(?:is|are|was|were|stands?|lies|remains?|that|which|who|still|quite|completely|entirely|totally|now)$/.test(words[k]!.word) && joined(k)) { linked = true; k-- }
    const owner = words[k]
    if (!owner || !close(k) || main(owner.word) !== NOUN) return
    const article = [1, 2, 3].map((back) => words[k - back]?.word ?? '').find((one) => isFunctionWord(one))
    // “A sleeping dog barking” is of that dog; “the door shut” is of a door named before.
    const doing = word.endsWith('ing') && k === i - 1
    if (linked || doing || /^(?:the|his|her|its|their|every|all|with)$/.test(article ?? '')) found.push({ word, start, end, of: singularOf(owner.word), definite: !doing, run: linked || doing ? beginning(k) : i, noun: false, plural: PLURAL.test(owner.word) })
  })
  return found
}

/** Two qualities of one thing that exclude each other: “a tiny, enormous dragon”, “an open door, the door firmly shut”. */
export function twoQualities(checked: Checked): Finding[] {
  const all = qualitiesOf(checked)
  const found: Finding[] = []
  for (const [i, b] of all.entries()) {
    for (const a of all.slice(0, i)) {
      if (a.of !== b.of || !against.get(a.word)?.has(b.word) || isMeant(checked.shown, a, b)) continue
      const oneRun = a.run === b.run
      if (!oneRun && !b.definite && !ONE_OF_A_KIND.has(b.of)) continue
      const between = checked.shown.slice(a.end, b.start)
      if (oneRun ? /\bor\b/.test(between) || (b.plural && /\band\b/.test(between)) : /[.!?\n][^]*[.!?\n]/.test(between)) continue
      const phrase = checked.phraseAt(b.start) ?? checked.phraseAt(a.start)
      if (!phrase || phrase.facet === 'lettering') continue
      found.push({
        kind: 'contradiction',
        severity: 'stop',
          where: inText(a),
          with: inText(b),
          facet: phrase.facet,
          reason: `Nothing is “${checked.said(a)}” and “${checked.said(b)}” at once; the engine will draw one, or something between.`,
          fix: removing(checked, b.noun ? a : b),
        })
      break
    }
  }
  return found
}
