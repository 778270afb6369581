import type { SheetProof } from '@idolon/contract'
import { describe, expect, it } from 'vitest'
import { layOut, otherOptions, step } from './sheet-layout.ts'

const proof = (version: number, engine: string, more: Partial<SheetProof> = {}): SheetProof => ({ version, engine: { id: engine, name: engine, revision: '2', simulated: true }, settings: {}, seed: 7, promptTitle: 'A fox', ...more }) as SheetProof
const names = (proofs: SheetProof[], kind: 'version-engine' | 'prompt-engine') => {
  const { columns, rows } = layOut(proofs, { kind }, 1000, 100)
  return { columns, rows: rows.map(({ name, cells }) => [name, cells]) }
}

describe('a sheet', () => {
  it('puts versions in rows and engines in columns, by number', () => {
    expect(names([proof(10, 'Burin'), proof(2, 'Tympan'), proof(2, 'Burin'), proof(2, 'Burin')], 'version-engine')).toEqual({
      columns: ['Burin 2', 'Tympan 2'],
      rows: [['Version 2', [[2, 3], [1]]], ['Version 10', [[0], []]]],
    })
  })
  it('puts values of a setting in rows and seeds in columns', () => {
    const list = [3, 9, 9].map((guidance, i) => proof(1, 'Burin', { settings: { guidance }, seed: i === 2 ? 8 : 7 }))
    const { columns, rows } = layOut(list, { kind: 'setting-seed', setting: 'guidance' }, 1000, 100)
    expect([columns, rows.map(({ name, cells }) => [name, cells])]).toEqual([['seed 7', 'seed 8'], [['guidance 3', [[0], []]], ['guidance 9', [[1], [2]]]]])
  })
  it('puts options of a trial plan in the order of the plan, and says the rest under each', () => {
    const list = [['owl', 'dusk', 'low'], ['wren', 'dawn', 'low'], ['owl', 'dawn', 'high']].map(([bird, hour, angle]) => proof(1, 'Burin', { options: { bird: bird!, hour: hour!, angle: angle! } }))
    const arrangement = { kind: 'options' as const, rows: 'bird', columns: 'hour', order: { bird: ['wren', 'owl'], hour: ['dusk', 'dawn'] } }
    const { columns, rows } = layOut(list, arrangement, 1000, 100)
    expect([columns, rows.map(({ name, cells }) => [name, cells])]).toEqual([['dusk', 'dawn'], [['wren', [[], [1]]], ['owl', [[0], [2]]]]])
    expect(otherOptions(list[2]!, arrangement)).toBe('high')
  })
  it('fills the width when it is free', () => {
    const { rows, across } = layOut(Array.from({ length: 7 }, () => proof(1, 'Burin')), { kind: 'free' }, 500, 100)
    expect(across).toBe(3)
    expect(rows.map(({ cells }) => cells)).toEqual([[[0, 1, 2]], [[3, 4, 5]], [[6]]])
  })
  it('is walked by arrows, over empty cells too', () => {
    const layout = layOut([proof(1, 'Burin'), proof(2, 'Tympan'), proof(3, 'Burin'), proof(3, 'Burin')], { kind: 'version-engine' }, 1000, 100)
    expect(step(layout, 0, 'ArrowDown')).toBe(1)
    expect(step(layout, 1, 'ArrowDown')).toBe(2)
    expect(step(layout, 2, 'ArrowRight')).toBe(3)
    expect(step(layout, 3, 'ArrowRight')).toBeUndefined()
    expect(step(layout, 3, 'Home')).toBe(0)
  })
})
