import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { FACETS } from '../../src/facets.ts'
import type { Facet } from '../../src/facet.ts'

/** A labelled range; `facet` is undefined for noise. */
export interface Label {
  start: number
  end: number
  facet: Facet | undefined
  noise: string | undefined
}
export interface Example {
  id: string
  world: string
  /** keywords, sentences, mixed, fields, json, pasted */
  style: string
  text: string
  labels: Label[]
}

const LETTERS: Record<string, Facet> = { S: 'subject', A: 'action', D: 'detail', E: 'setting', M: 'moment', F: 'framing', L: 'light', C: 'colour', K: 'medium', T: 'technique', O: 'mood', W: 'lettering' }
export const facetNo = (facet: Facet | undefined): number => (facet ? FACETS.indexOf(facet) + 1 : 0)

/** Takes the marks out of a line: `<S an old fox> <A sleeping>`; `<!p ...>` is noise of a kind named by its letter. */
export function parseLine(marked: string): { text: string; labels: Label[] } {
  const labels: Label[] = []
  let text = ''
  const open: { start: number; letter: string }[] = []
  const source = marked.replaceAll('\\n', '\n')
  for (let i = 0; i < source.length; i++) {
    const mark = /^<(![plsob]|[SADEMFLCKTOW]) /.exec(source.slice(i, i + 4))
    if (mark) {
      open.push({ start: text.length, letter: mark[1] ?? '' })
      i += mark[0].length - 1
    } else if (source[i] === '>' && open.length) {
      const { start, letter } = open.pop()!
      const facet = LETTERS[letter]
      labels.push({ start, end: text.length, facet, noise: facet ? undefined : letter.slice(1) })
    } else text += source.charAt(i)
  }
  if (open.length) throw new Error(`Unclosed mark: ${marked}`)
  return { text, labels: labels.sort((a, b) => a.start - b.start) }
}

/** Who wrote and labelled a prompt: a letter for each of the other hands, and one name for our own. */
export const handOf = ({ id }: Example): string => /^hand-(\w+)/.exec(id)?.[1] ?? 'own'

export function readCorpus(folder: string, only: RegExp): Example[] {
  const examples: Example[] = []
  for (const file of readdirSync(folder).filter((name) => name.endsWith('.txt') && only.test(name)).sort()) {
    let world = ''
    readFileSync(join(folder, file), 'utf8')
      .split('\n')
      .forEach((line, i) => {
        if (line.startsWith('# ')) world = line.slice(2)
        else if (/^[ksmfjp] /.test(line)) examples.push({ id: `${file}:${i + 1}`, world: `${file}/${world}`, style: line[0]!, ...parseLine(line.slice(2)) })
        else if (line.trim()) throw new Error(`${file}:${i + 1} is no prompt: ${line}`)
      })
  }
  return examples
}
