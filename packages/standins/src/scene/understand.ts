import { figureOf } from '../draw/figures/index.ts'
import { BREAK, type Hit, type Meaning, piecesOf, singular, termsIn } from './lexicon.ts'
import type { Angle, Extra, Face, Held, LightSide, Medium, Moment, Pose, Scene, Season, Setting, Shot, SubjectKind, Thing, Weather, Worn } from './scene.ts'

const MOST = 24
const QUOTED = /["“]([^"”]{1,60})["”]/
/** Words after which something is put beside, behind or before what was named. */
const BESIDE = new Set(['beside', 'behind', 'near', 'with', 'and', 'next', 'before', 'above', 'under', 'over', 'on', 'in', 'by', 'against', 'between', 'past', 'across', 'around', 'below', 'toward', 'towards', 'at', 'along', 'through'])
/** Kinds that a place has by the way, unless they are what the picture is of. */
const DECOR = new Set(['plant/tree', 'plant/fir', 'plant/flower', 'building/cottage', 'insect/bee', 'bird/gull', 'building/bridge', 'vessel/sailboat', 'bird/songbird'])
/** Where a subject is found when nothing says where. */
const HOME: Partial<Record<SubjectKind, Setting>> = { food: 'interior', drink: 'interior', tool: 'interior', furniture: 'interior', machine: 'workshop', fish: 'underwater', vessel: 'water', abstract: 'studio', plant: 'garden', insect: 'garden', vehicle: 'village', building: 'meadow', animal: 'meadow', bird: 'meadow', person: 'meadow', landscape: 'mountains' }

/** Figures that have a home of their own. */
const AT_HOME: Readonly<Record<string, Setting>> = { 'building/lighthouse': 'water', 'building/block': 'city', 'animal/camel': 'desert', 'plant/palm': 'water', 'plant/fir': 'mountains', 'bird/heron': 'water', 'bird/swan': 'water', 'person/knight': 'meadow', 'plant/mushroom': 'forest', 'animal/fox': 'forest', 'animal/bear': 'forest', 'animal/deer': 'forest', 'animal/goat': 'mountains', 'vehicle/train': 'mountains', 'vehicle/aeroplane': 'mountains', 'vehicle/balloon': 'mountains' }

const meaning = (hit: Hit, of: Meaning['of']): string | undefined => hit.meanings.find((one) => one.of === of)?.value
const thing = (kind: SubjectKind, variant: string, count: number, word: string | null): Thing => ({ kind, variant, count, word, colours: [], pose: 'standing', wears: [], holds: [] })

/** The first value of a kind, or the last where later words overrule: “a painting of” before “linocut”. */
const first = (hits: readonly Hit[], of: Meaning['of']): string | undefined => hits.map((hit) => meaning(hit, of)).find((value) => value !== undefined)

/** Several of it: by a number before it, or by its plural. */
function countOf(words: readonly string[], hits: readonly Hit[], hit: Hit): number {
  const numbers = hits.filter((other) => other.at < hit.at && hit.at - other.at - other.length < 3 && meaning(other, 'number') !== undefined)
  const blocked = (from: number) => words.slice(from, hit.at).some((word) => word === BREAK || (BESIDE.has(word) && word !== 'of'))
  const number = numbers.reverse().find((other) => !blocked(other.at + other.length))
  const said = number && Number(meaning(number, 'number'))
  const last = words[hit.at + hit.length - 1] ?? ''
  const plural = singular(last) !== last || /^(?:people|cattle|children|men|women)$/.test(last)
  if (said === 1 || said === undefined) return plural ? 3 : 1
  return Math.max(1, Math.min(MOST, said))
}

/** Which of the things named a trait belongs to: the nearest before it, or the one right after it. */
function ownerOf(things: readonly { thing: Thing; at: number }[], at: number): Thing | undefined {
  const next = things.find((one) => one.at >= at && one.at - at <= 2)
  return next?.thing ?? things.filter((one) => one.at < at && at - one.at < 9).at(-1)?.thing
}

/** Reads a text as this engine reads it: by the nearest word it knows; `usual` is the medium where none is said. */
export function understand(prompt: string, usual: Medium = 'gouache'): Scene {
  const lettering = QUOTED.exec(prompt)?.[1]?.trim() ?? null
  const words = piecesOf(prompt.replace(new RegExp(QUOTED, 'g'), ' '))
  const hits = termsIn(words)
  const named: { thing: Thing; at: number; key: string }[] = []
  const possessives = new Set([...prompt.toLowerCase().matchAll(/(\p{L}+)(?:s['’]|['’]s)(?=\s)/gu)].flatMap(([, word = '']) => [`${word}s`, word]))
  for (const hit of hits) {
    const key = meaning(hit, 'figure')
    if (!key) continue
    // In somebody's hands, worn, or of the picture's own kind, it is no thing by itself.
    const inHand = meaning(hit, 'held') !== undefined && named.some(({ thing: { kind }, at }) => kind === 'person' && hit.at - at < 12) && words.slice(Math.max(0, hit.at - 4), hit.at).some((word) => /^(?:with|holding|holds|carrying|carries|reading|playing|plays|lifting|raising|under|waving|clutching)$/.test(word))
    // “A rack railway train” is a train, “orange and teal” no fruit, and “the guards’ caps” are caps.
    const following = hits.find((other) => other.at === hit.at + hit.length)
    if (following && meaning(following, 'figure') !== undefined && !key.startsWith('landscape')) continue
    if (meaning(hit, 'colour') !== undefined && !(/^(?:an?|one|two|three|the|single)$/.test(words[hit.at - 1] ?? '') && (following === undefined || !following.meanings.some(({ of }) => of === 'figure')))) continue
    if (/['’]s?$/.test(words[hit.at + hit.length - 1] ?? '') || possessives.has(words[hit.at + hit.length - 1] ?? '')) continue
    // “A jar of honey” is one thing.
    if (words[hit.at - 1] === 'of' && named.some(({ at }) => hit.at - at < 4) && !key.startsWith('landscape')) continue
    if (inHand || (meaning(hit, 'worn') !== undefined && named.length > 0)) continue
    const [kind, variant] = key.split('/') as [SubjectKind, string]
    named.push({ thing: thing(kind, variant, kind === 'landscape' ? 1 : countOf(words, hits, hit), words.slice(hit.at, hit.at + hit.length).map(singular).join(' ')), at: hit.at, key })
  }
  // What stands in front is the subject; a place, or what a place has by the way, only where there is nothing else.
  const rank = ({ key }: (typeof named)[number]) => (key.startsWith('landscape') ? 2 : DECOR.has(key) && named[0]?.key !== key ? 1 : 0)
  const best = [...named].sort((a, b) => rank(a) - rank(b) || a.at - b.at)[0]
  const subject = best?.thing ?? thing('abstract', 'discs', 1, null)
  const others = named.filter((one) => one !== best && !one.key.startsWith('landscape') && !DECOR.has(one.key)).map((one) => one.thing).slice(0, 4)
  const owners = named.filter(({ thing: one }) => one === subject || others.includes(one))
  const people = owners.filter(({ thing: one }) => one.kind === 'person')
  /** Who wears or holds what is named at a place: whoever was named last before it, or else is named right after. */
  const bearer = (at: number) => (people.filter((one) => one.at < at && at - one.at < 12).at(-1) ?? people.find((one) => one.at >= at && one.at - at <= 2))?.thing
  const palette: string[] = []
  const ofPlace = new Set('sky sea water background light page paper wall ground sunset horizon palette tones accents colours colors shadow shadows glow hues'.split(' '))
  for (const hit of hits) {
    const colour = meaning(hit, 'colour')
    if (colour && !meaning(hit, 'medium')) {
      const next = words[hit.at + hit.length] ?? ''
      const after = words.slice(hit.at + hit.length, hit.at + hit.length + 3)
      const target = owners.find(({ at }) => at > hit.at && at - hit.at <= 3 && !after.slice(0, at - hit.at - 1).some((word) => word === BREAK || (BESIDE.has(word) && word !== 'and')))
      const worn = hits.find((other) => other.at > hit.at && other.at - hit.at <= 2 && (meaning(other, 'worn') !== undefined || meaning(other, 'held') !== undefined))
      if (ofPlace.has(next)) palette.push(colour)
      else if (/^(?:hair|beard|eyes?|hat|lips)$/.test(next)) continue
      else if (worn) (bearer(hit.at) ?? ownerOf(owners, hit.at))?.colours.push(colour)
      else if (target) target.thing.colours.push(colour)
      else palette.push(colour)
    }
    const worn = meaning(hit, 'worn')
    if (worn) bearer(hit.at)?.wears.push(worn as Worn)
    const held = meaning(hit, 'held')
    if (held && !owners.some(({ at }) => at === hit.at)) bearer(hit.at)?.holds.push(held as Held)
    const pose = meaning(hit, 'pose')
    if (pose) {
      const owner = ownerOf(owners.filter(({ at }) => at !== hit.at), hit.at)
      if (owner) owner.pose = pose as Pose
    }
  }
  const looks = new Set(hits.map((hit) => meaning(hit, 'look')))
  // A house, a ship or a valley is in no room.
  const large = ['building', 'vessel', 'landscape'].includes(subject.kind) || ['train', 'car', 'cart', 'aeroplane', 'balloon'].includes(subject.variant)
  const settings = hits.flatMap((hit) => meaning(hit, 'setting') ?? []).filter((one) => !large || (one !== 'interior' && one !== 'workshop'))
  // What swims or floats is on the water, whatever lies round it.
  const afloat = figureOf(subject.kind, subject.variant)?.where === 'water' && !settings.includes('underwater') && subject.kind !== 'fish'
  const indoors = settings.find((one) => one === 'studio' || one === 'interior' || one === 'workshop')
  const season = (first(hits, 'season') as Season | undefined) ?? 'summer'
  const weather = (first(hits, 'weather') as Weather | undefined) ?? 'clear'
  const shot = (hits.map((hit) => meaning(hit, 'shot')).find((one) => one === 'detail' || one === 'panorama') ?? first(hits, 'shot') ?? (subject.kind === 'landscape' ? 'wide' : 'medium')) as Shot
  const media = hits.flatMap((hit) => meaning(hit, 'medium') ?? [])
  const medium = (media.find((one) => one !== 'gouache') ?? media[0] ?? usual) as Medium
  const small = ['food', 'drink', 'tool'].includes(subject.kind)
  return {
    subject,
    others,
    setting: ((small ? indoors : undefined) ?? (afloat && !indoors ? 'water' : undefined) ?? settings[0] ?? AT_HOME[`${subject.kind}/${subject.variant}`] ?? HOME[subject.kind] ?? 'mountains') as Setting,
    moment: (first(hits, 'moment') as Moment | undefined) ?? 'noon',
    season,
    weather: weather === 'snow' || !/\bsnow(?:ing|fall|flakes?|storm)\b/.test(words.join(' ')) ? weather : 'snow',
    shot,
    angle: (first(hits, 'angle') as Angle | undefined) ?? 'level',
    light: { from: (first(hits, 'light') as LightSide | undefined) ?? sideIn(words) ?? 'left', hard: looks.has('hard') && !looks.has('soft') },
    warmth: (looks.has('warm') ? 0.7 : 0) - (looks.has('cool') ? 0.7 : 0),
    mood: (looks.has('bright') ? 0.7 : 0) - (looks.has('gloomy') ? 0.7 : 0),
    blur: looks.has('deep') ? 0 : looks.has('shallow') || shot === 'detail' ? 1 : medium === 'photograph' && (shot === 'close' || small) ? 0.6 : 0,
    palette: looks.has('colourless') ? ['grey'] : [...new Set(palette)],
    paletteShare: looks.has('colourless') ? 1 : 0.6,
    medium,
    lettering: lettering ? { words: lettering, face: (first(hits, 'face') as Face | undefined) ?? 'block' } : null,
    extras: [...new Set(hits.flatMap((hit) => (meaning(hit, 'extra') as Extra | undefined) ?? []).filter((extra) => !(extra === 'bees' && subject.kind === 'insect')))],
    without: [],
    subjectSize: 1,
    smeared: false,
  }
}

/** “from the left”, “on the right” of a light named close by. */
function sideIn(words: readonly string[]): LightSide | undefined {
  for (let i = 0; i < words.length; i++) {
    if (words[i] !== 'left' && words[i] !== 'right') continue
    if (words.slice(Math.max(0, i - 6), i + 4).some((word) => /^(?:light|lit|sun|sunlight|window|lamp|lamplight|glow|candle|candlelight|shadow|shadows)$/.test(word))) return words[i] as LightSide
  }
  return undefined
}
