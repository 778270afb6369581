import { expect, it } from 'vitest'
import { runChanges, versionChanges } from './change-line.ts'
import type { VersionBody } from './shape.ts'

const body = (text: string, rest: Partial<VersionBody> = {}): VersionBody => ({ text, marks: [], leaveOut: [], references: [], ...rest })

it('says in words what one version changed', () => {
  expect(versionChanges(body('a red fox, at dusk'), body('a red fox, low angle, at dusk'))).toEqual(['+ low angle'])
  expect(versionChanges(body('a red fox at dusk'), body('a red fox at dawn'))).toEqual(['“dusk” became “dawn”'])
  expect(versionChanges(body('a fox', { leaveOut: ['people'] }), body('a fox', { leaveOut: ['text'] }))).toEqual(['leave out text', 'no longer leave out people'])
})

it('names a changed mark, but not one that only moved', () => {
  const before = body('fox, dusk', { marks: [{ from: 5, to: 9, kind: 'locked' }] })
  const moved = body('a fox, dusk', { marks: [{ from: 7, to: 11, kind: 'locked' }] })
  expect(versionChanges(before, moved)).toEqual(['+ a'])
  expect(versionChanges(before, { ...before, marks: [...before.marks, { from: 0, to: 3, kind: 'off' }] })).toEqual(['“fox” off'])
})

it('says nothing of equal versions', () => {
  expect(versionChanges(body('a fox'), body('a fox'))).toEqual([])
})

it('names changed engines and settings of a run', () => {
  const burin = [{ engine: 'burin' }]
  expect(runChanges({ engines: burin, settings: { seed: 3 } }, { engines: burin, settings: { seed: 4, guidance: 7 } })).toEqual(['seed 3 to 4', 'guidance any to 7'])
})
