import type { WritingStyleBody } from './writing-style.ts'

const SEPARATOR: Readonly<Record<WritingStyleBody['separator'], string>> = { ', ': 'commas', '; ': 'semicolons', '. ': 'full stops', ' | ': 'upright strokes', '\n': 'line ends' }

/** A writing style told in words, for a person or a language model. */
export function styleInWords(writingStyle: WritingStyleBody): string {
  const { style, facets, always, words, separator, stop, capital } = writingStyle
  const usual = facets.filter(({ share }) => share >= 0.5)
  const seldom = facets.filter(({ share }) => share < 0.5)
  return [
    style === 'sentences' ? 'Whole sentences.' : `A list with ${SEPARATOR[separator]} between its parts${capital ? ', beginning with a capital' : ', without a capital'}${stop ? ', ending with a full stop' : ', without a full stop at the end'}.`,
    `${words.low} to ${words.high} words, mostly about ${words.middle}.`,
    `In this order: ${usual.map(({ facet }) => facet).join(', ')}.`,
    ...(seldom.length ? [`Now and then also: ${seldom.map(({ facet }) => facet).join(', ')}.`] : []),
    ...(always.length ? [`Always said, word for word: ${always.map(({ text }) => text).join('; ')}.`] : []),
    ...facets.filter(({ terms }) => terms.length).map(({ facet, terms }) => `Favourite words for ${facet}: ${terms.slice(0, 8).join('; ')}.`),
  ].join('\n')
}
