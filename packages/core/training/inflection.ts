/** Irregular forms of common English words and their base; regular ones are worked out. */
const IRREGULAR = `
went go, gone go, goes go, ate eat, eaten eat, ran run, running run, sat sit, sitting sit, stood stand, lay lie, lying lie, lain lie, laid lay, held hold, left leave, bent bend, built build, burnt burn, caught catch, came come, cut cut,
dug dig, digging dig, drew draw, drawn draw, drank drink, drunk drink, drove drive, driven drive, fell fall, fallen fall, fed feed, felt feel, fought fight, found find, flew fly, flown fly, flies fly, forgot forget, forgotten forget, froze freeze,
frozen freeze, gave give, given give, got get, grew grow, grown grow, hung hang, hid hide, hidden hide, hit hit, kept keep, knelt kneel, knew know, leapt leap, lent lend, lit light, lost lose, made make, met meet, paid pay, put put, read read,
rode ride, ridden ride, rang ring, rose rise, risen rise, saw see, seen see, sewn sew, shook shake, shaken shake, shone shine, shot shoot, shrunk shrink, sang sing, sung sing, sank sink, sunken sink, slept sleep, slid slide, sold sell, sent send,
spoke speak, spoken speak, spun spin, split split, spread spread, sprang spring, stole steal, stolen steal, stuck stick, struck strike, swam swim, swept sweep, swung swing, took take, taken take, taught teach, tore tear, torn tear, told tell,
threw throw, thrown throw, woke wake, worn wear, wore wear, wove weave, woven weave, wept weep, won win, wound wind, wrote write, written write, thought think, brought bring, bought buy, began begin, begun begin, broke break, broken break,
bled bleed, blew blow, blown blow, bore bear, beat beat, beaten beat, bit bite, bitten bite, bound bind, chose choose, chosen choose, clung cling, crept creep, dealt deal, dyed dye, tied tie, tying tie, dying die, died die, wrung wring,
men man, women woman, children child, feet foot, teeth tooth, geese goose, mice mouse, oxen ox, people person, leaves leaf, wolves wolf, knives knife, loaves loaf, shelves shelf, halves half, scarves scarf, hooves hoof, elves elf, dwarves dwarf,
wives wife, lives life, thieves thief, calves calf, cacti cactus, fungi fungus, dice die, berries berry, daisies daisy
`
const irregular = new Map(IRREGULAR.split(',').map((pair) => pair.trim().split(' ') as [string, string]))

/** The forms a word may be an inflection of, likeliest first, itself included. */
export function bases(word: string): string[] {
  const list = [word]
  const known = irregular.get(word)
  if (known) list.push(known)
  const add = (stem: string, ...ends: string[]) => {
    if (stem.length > 1) list.push(...ends.map((end) => stem + end))
  }
  if (word.endsWith('ies')) add(word.slice(0, -3), 'y')
  if (word.endsWith('es')) add(word.slice(0, -2), '')
  if (word.endsWith('s') && !word.endsWith('ss')) add(word.slice(0, -1), '')
  for (const [end, back] of [['ing', 3], ['ed', 2]] as const) {
    if (!word.endsWith(end)) continue
    const stem = word.slice(0, -back)
    add(stem, '', 'e')
    if (/([b-df-hj-np-tv-z])\1$/.test(stem)) add(stem.slice(0, -1), '')
    if (end === 'ed' && stem.endsWith('i')) add(stem.slice(0, -1), 'y')
  }
  return list
}
