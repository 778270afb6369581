import { type Asked, choose, linesOf, shuffle } from '../asked.ts'
import { withSlips } from '../slip.ts'
import { mediumIn, MEDIA, PLAIN_TECHNIQUES } from '../words/media.ts'
import { withArticle } from '../write.ts'
import { Phrases } from './edit-phrases.ts'

/** The same picture told for another medium. */
export function anotherMediumTask(asked: Asked): { prompt: string } {
  const { given, random } = asked
  const wanted = given('medium').trim() || choose(MEDIA, random).said
  const known = mediumIn(wanted)
  const techniques = shuffle(known?.techniques ?? PLAIN_TECHNIQUES, random).slice(0, 2)
  const locked = linesOf(given('locked'))
  const phrases = new Phrases(given('prompt'), locked)
  let said = false
  for (const old of phrases.list.filter(({ facet }) => facet === 'medium' || facet === 'technique').reverse()) {
    if (old.facet === 'medium' && !said) {
      // The first of several in the text is met last, going backwards.
      const first = !phrases.list.some((one) => one.facet === 'medium' && one.start < old.start)
      phrases.replace(old, first ? wanted : '')
      said = first
    } else phrases.replace(old, '')
  }
  if (!said) phrases.add(wanted, (words) => `The picture is ${withArticle(words, true)}.`)
  phrases.add(techniques.join(', '), () => `It is worked with ${techniques.join(' and ')}.`)
  return { prompt: withSlips(phrases.text, asked, locked) }
}
