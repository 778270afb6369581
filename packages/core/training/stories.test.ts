import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { unpackTables } from '../src/read/model/tables.ts'
import { englishAnalyser } from '../src/reader.ts'
import { scenesOf } from '../src/series/story/scenes.ts'
import { storyCases } from './story-cases.ts'
import { StoryScore } from './story-score.ts'

const core = fileURLToPath(new URL('..', import.meta.url))
const table = (name: string) => readFileSync(`${core}tables/${name}.bin`)

describe('labelled stories', () => {
  it.each(['told', 'held-back'] as const)('are split where their scenes turn: %s', (name) => {
    const { words } = unpackTables(table('words'), table('reader'))
    const analyse = englishAnalyser()
    const score = new StoryScore()
    for (const told of storyCases(core, name)) score.add(told, scenesOf(told.story, words, analyse))
    const { boundaryF1, castF1, place, moment } = score.figures
    expect(boundaryF1).toBeGreaterThan(0.88)
    expect(castF1).toBeGreaterThan(0.88)
    expect(place).toBeGreaterThan(0.82)
    expect(moment).toBeGreaterThan(0.88)
  })
})
