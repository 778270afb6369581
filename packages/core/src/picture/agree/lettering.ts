import { type Judge, verdict } from './verdict.ts'

const QUOTED = /[“"‘']([^”"’']{2,60})[”"’']/u
const wordsOf = (text: string) => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []

/** Words that are said to stand in it. */
export const letteringJudge: Judge = ({ facet, text }, { lettering }) => {
  if (facet !== 'lettering' || lettering.present === null) return undefined
  if (!lettering.present) return verdict('lettering', false, 'no lettering was found')
  const said = wordsOf(QUOTED.exec(text)?.[1] ?? '')
  if (said.length === 0) return verdict('lettering', true, `it reads “${lettering.text.replaceAll('\n', ' ')}”`)
  const own = new Set(wordsOf(lettering.text))
  return verdict('lettering', said.filter((word) => own.has(word)).length >= said.length / 2, `it reads “${lettering.text.replaceAll('\n', ' ')}”`)
}
