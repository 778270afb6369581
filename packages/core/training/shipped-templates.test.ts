import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { checkDraft, createLanguage } from '../src/check.ts'
import { emptyDraft } from '../src/draft/draft.ts'
import { createReader, fillTemplate } from '../src/reader.ts'
import { templateProblems, valuesFor } from '../src/template/body.ts'
import { SHIPPED_TEMPLATES } from '../src/template/shipped.ts'
import { readTemplate } from '../src/template/template.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
const json = (name: string): never => JSON.parse(table(name).toString('utf8')) as never
const reader = createReader(table('words.bin'), table('reader.bin'))
const language = createLanguage(reader, { kin: table('kin.bin'), known: table('known.bin'), associations: json('associations.json'), glossary: json('glossary.json') })

describe.each(SHIPPED_TEMPLATES.map(({ body }) => [body.name, body] as const))('the frame %s', (_, body) => {
  const { parts } = readTemplate(body.text)
  const facetOf = (name: string) => body.slots.find((slot) => slot.name === name)?.facet
  const fill = (values: Record<string, string>) => fillTemplate(parts, values, reader.words, facetOf)
  const usual = valuesFor(body.slots, {})

  it('can be used, and each slot has something to choose from', () => {
    expect(templateProblems(body)).toEqual([])
    for (const { name, facet, options } of body.slots) expect([name, facet, options.length > 1]).toEqual([name, expect.any(String), true])
  })

  it('says what it means, and the checks find nothing grave in it', () => {
    const { text, slots } = fill(usual)
    const reading = reader.read(text)
    const right = slots.filter(({ slot, from, to }) => reading.phrases.some(({ start, end, facet }) => facet === facetOf(slot) && start < to && end > from))
    expect(right.length / slots.length).toBeGreaterThanOrEqual(0.5)
    const found = checkDraft({ ...emptyDraft(), text, leaveOut: body.leaveOut }, reading, language).filter(({ severity }) => severity === 'stop')
    expect(found.map(({ kind, reason }) => `${kind}: ${reason}`)).toEqual([])
  })

  it('closes up over any slot left empty, and takes any option', () => {
    for (const { name, options } of body.slots)
      for (const value of ['', ...options]) {
        const { text } = fill({ ...usual, [name]: value })
        expect(text).not.toMatch(/[,;] ?[,;.]|\s{2}|\s[,.;]|^[,.;\s]|\b(?:an?|the|and|with|of|in|at|on) ?(?:[,.;]|$)|""|\ban? (?:an?|the) |\b(?:a|an) (?=[^\w])/)
      }
  })
})
