import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { englishAnalyser } from '../read/tagger.ts'
import { WordTable } from '../read/words/word-table.ts'
import { headLemma, modifiersOf, structureOf } from './structure.ts'

const words = new WordTable(readFileSync(new URL('../../tables/words.bin', import.meta.url)))
const clauses = (text: string) => structureOf(text, englishAnalyser(), words)

/** Who does what to whom: “dog chase boy”; what prepositions add follows in brackets. */
const told = (text: string) =>
  clauses(text).flatMap((clause) =>
    clause.predicates.map(({ lemma, doers, objects, complements, negated, qualities }) =>
      [doers.map((one) => headLemma(clause, one)).join('+') || '-', negated ? `not ${lemma}` : lemma, objects.map((one) => headLemma(clause, one)).join('+') || qualities.map((at) => clause.words[at]!.lower).join('+') || '-', ...complements.map(({ preposition, phrase }) => `[${preposition} ${headLemma(clause, phrase)}]`)].join(' '),
    ),
  )

describe('who does what to whom', () => {
  it('is told apart by order, and by voice', () => {
    expect(told('the dog chases the boy across a stubble field')).toEqual(['dog chase boy [across field]'])
    expect(told('the boy is chased by the dog')).toEqual(['dog chase boy'])
    expect(told('a boy chased by a dog')).toEqual(['dog chase boy'])
    expect(told('the boy chases the dog')).toEqual(['boy chase dog'])
  })
  it('is told of participles', () => {
    expect(told('an old woman feeding pigeons in a square')).toEqual(['woman feed pigeon [in square]'])
    expect(told('Kneeling in the snow, a girl ties her boots')).toEqual(['girl kneel - [in snow]', 'girl tie boot'])
  })
  it('is told of verbs that are joined', () => {
    expect(told('A potter kneels and lifts a vase')).toEqual(['potter kneel -', 'potter lift vase'])
  })
  it('is told of several', () => {
    expect(told('a fox and a crow share a plum')).toEqual(['fox+crow share plum'])
  })
  it('is told of those who stand after a preposition', () => {
    expect(told('the man with the dog throws a stick')).toEqual(['man throw stick'])
  })
  it('keeps what is denied apart', () => {
    expect(told('the girl is not smiling')).toEqual(['girl not smile -'])
  })
  it('has what a thing is said to be', () => {
    expect(told('the door is shut')).toEqual(['door be shut'])
  })
})

describe('noun phrases', () => {
  it('keep a compound whole', () => {
    const [clause] = clauses('A worn velvet sofa in a flooded library at dawn')
    expect(clause!.phrases.map((one) => headLemma(clause!, one))).toEqual(['sofa', 'library', 'dawn'])
    expect(modifiersOf(clause!, clause!.phrases[0]!).map(({ lower }) => lower)).toEqual(['worn', 'velvet'])
  })
})

it('takes any text', () => {
  fc.assert(
    fc.property(fc.oneof(fc.string({ unit: 'binary' }), fc.array(fc.constantFrom('the', 'dog', 'is', 'chased', 'by', ',', 'and', 'who', '.', 'kneeling', 'of', '\n', 'not'), { maxLength: 30 }).map((list) => list.join(' '))), (text) => {
      for (const { phrases, words: own, predicates } of clauses(text)) {
        for (const { from, head, to } of phrases) expect(from <= head && head < to && to <= own.length).toBe(true)
        for (const { verb } of predicates) expect(own[verb]).toBeDefined()
      }
    }),
    { seed: 3, numRuns: 300 },
  )
})
