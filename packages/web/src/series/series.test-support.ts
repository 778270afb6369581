import type { Part, Scene, Series, StorySplit } from '@idolon/contract'
import { blankPart, blankScene, type PartBody, type PartKind } from '@idolon/core'
import { computed, shallowRef } from 'vue'
import { vi } from 'vitest'
import type { OpenSeries } from './use-series.ts'

export const aPart = (kind: PartKind, name: string, more: Partial<PartBody> = {}): Part => ({ id: `part-${name}`, projectId: 'j', version: 1, body: { ...blankPart(kind, name), ...more }, scenes: 1, changedAt: '2026-01-01T10:00:00Z' })

export const aScene = (id: string, more: Partial<Scene> = {}): Scene =>
  ({ id, promptId: `x-${id}`, body: { ...blankScene(), beat: `Beat ${id}` }, story: null, touched: false, text: 'a fox', marks: [], leaveOut: [], engine: 'burin', aspectRatio: '3:2', revision: 1, apart: false, left: [], behind: [], overrides: [], chosen: null, newest: null, stale: false, proofs: 0, coming: 0, ...more }) as Scene

/** A series that is open, with what a test wants to hear of. */
export function anOpenSeries(scenes: Scene[], parts: Part[] = []) {
  const series = shallowRef<Series>({ id: 's1', projectId: 'j', name: 'Foxes', story: '', revision: 0, style: null, scenes, parts, changedAt: '2026-01-01T10:00:00Z' })
  const ofKind = (kind: PartKind) => computed(() => parts.filter(({ body }) => body.kind === kind))
  const open = { move: vi.fn(() => Promise.resolve(series.value)), order: vi.fn(() => Promise.resolve(series.value)), join: vi.fn(() => Promise.resolve(series.value)), split: vi.fn(() => Promise.resolve(series.value)), duplicate: vi.fn(() => Promise.resolve('copy')), remove: vi.fn(() => Promise.resolve()), change: vi.fn(() => Promise.resolve(series.value as Series | undefined)), partOf: (id: string) => parts.find((part) => part.id === id), places: ofKind('place'), styles: ofKind('style'), series, placeOf: (id: string) => series.value.scenes.findIndex((scene) => scene.id === id), changeScene: vi.fn(() => Promise.resolve(series.value)), choose: vi.fn(() => Promise.resolve(series.value)), load: vi.fn(() => Promise.resolve()), characters: ofKind('character') }
  return { open: open as unknown as OpenSeries, acts: open, changeScene: open.changeScene, choose: open.choose, series }
}

export const aSplit = (scenes: (Partial<StorySplit['scenes'][number]> & { text: string })[], cast: StorySplit['cast'] = []): StorySplit => {
  let at = 0
  return {
    scenes: scenes.map((scene) => {
      const start = at
      at += scene.text.length + 1
      return { start, end: start + scene.text.length, beat: scene.text, cast: [], place: null, moment: null, ...scene }
    }),
    cast,
  }
}
