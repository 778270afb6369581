import { singularOf } from '../english/noun.ts'
import { TERMS_BY_FACET } from '../glossary/terms-by-facet.ts'
import { TermFinder } from '../glossary/term-finder.ts'
import type { Phrase } from '../read/reading.ts'
import type { Checked } from './checked.ts'

/** WordNet's files of nouns that can be drawn: animal, artifact, body, food, group, location, object, person, plant. */
const DRAWN = new Set([5, 6, 8, 13, 14, 15, 17, 18, 20])
/** Nouns that are of the picture and how it is made, not of what is in it. */
const OF_THE_PICTURE = new Set('background backdrop foreground view shot frame edge corner centre center side picture image photo photograph photography painting drawing print illustration camera lens film paper canvas board card panel style scene light lamp lamplight sun sunlight shadow shade sky composition layout angle palette colour color tone texture line ink oil paint pencil charcoal brush grain depth field focus surface ground studio set render art artwork design poster form format space area level eye edge back front layer'.split(' '))
/** How pictures are made and seen, by the glossary; its words name nothing that is in one. */
const STYLE = new TermFinder((['medium', 'technique', 'framing', 'light', 'mood', 'colour', 'moment'] as const).flatMap((facet) => TERMS_BY_FACET[facet].map((term) => [term, facet] as const)))

/** A picture of a place. */
const VIEW = /\b(?:landscape|cityscape|seascape|townscape|view|scene|scenery|interior|vista|panorama|map|architectur\p{L}*)\b/iu

/** Whether anything that can be drawn is named, whatever its phrase was read as. A place that things are put in is the setting of none. */
export function namesAThing(checked: Checked, among: (phrase: Phrase) => boolean = () => true): boolean {
  const style = STYLE.find(checked.shown)
  return checked.phrases.filter(among).some((phrase) => {
    if (phrase.facet === 'setting') {
      const before = checked.shown.slice(0, phrase.start)
      const putIn = /\b(?:in|on|at|inside|outside|under|beneath|beside|by|near|against|behind|before)\s+(?:(?:an?|the|some|her|his|its|their)\s+)?$/i.test(before)
      const view = !putIn && (VIEW.test(checked.shown) || checked.phrases.find(({ facet }) => !['medium', 'technique', 'framing', 'mood'].includes(facet)) === phrase)
      if (/background|backdrop|studio/i.test(phrase.text) || (!view && !/\b(?:with|of|where|full)\b/i.test(phrase.text))) return false
    }
    return [...phrase.text.matchAll(/\p{L}{3,}/gu)].some(({ 0: said, index }) => {
      const [start, word] = [phrase.start + index, said.toLowerCase()]
      if (OF_THE_PICTURE.has(word) || OF_THE_PICTURE.has(singularOf(word)) || style.some((term) => term.start <= start && start < term.end)) return false
      const facts = checked.language.words.find(word)
      // Mostly a noun, of no class in what was counted, or a noun here by its article.
      return facts !== undefined && (facts.main === 0 || facts.main >= 4 || /\b(?:an?|the)\s$/i.test(checked.shown.slice(0, start))) && (facts.classes & 1) > 0 && (DRAWN.has(facts.noun1) || DRAWN.has(facts.noun2))
    })
  })
}
