import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'
import { createReader } from '../src/reader.ts'
import { continuityOf } from '../src/series/continuity/index.ts'
import { continuityCases } from './continuity-cases.ts'

const core = fileURLToPath(new URL('..', import.meta.url))
const table = (name: string) => readFileSync(`${core}tables/${name}.bin`)

it('planted slips are found, and series that hold together stay quiet', () => {
  const cases = continuityCases(core, createReader(table('words'), table('reader')))
  const planted = cases.filter((one) => one.planted)
  const missed = planted.filter(({ series, planted: slip }) => !continuityOf(series).some(({ kind, scene }) => kind === slip!.kind && (Math.abs(scene - slip!.scene) <= 1 || kind === 'framing')))
  const alarms = cases.filter((one) => !one.planted).map(({ id, series }) => ({ id, slips: continuityOf(series).map(({ kind, scene, reason }) => `${scene + 1} ${kind}: ${reason}`) })).filter(({ slips }) => slips.length)
  if (process.env['SHOW']) console.log(JSON.stringify({ missed: missed.map(({ id, series }) => [id, continuityOf(series).map(({ kind, scene }) => `${scene + 1} ${kind}`)]), alarms }, null, 1))
  expect(planted).toHaveLength(40)
  expect(1 - missed.length / planted.length).toBeGreaterThanOrEqual(0.85)
  expect(alarms.length).toBeLessThanOrEqual(1)
})
