import { expect, it } from 'vitest'
import { aVersion } from '../testing.test-support.ts'
import { versionTree } from './version-tree.ts'

const tree = (parents: Record<number, number | null>, here: number | null) =>
  versionTree(Object.entries(parents).map(([number, parent]) => aVersion(Number(number), 'a fox', { parent })), here).map(({ version, depth, branches }) => `${'  '.repeat(depth)}${version.number}${branches ? ' <' : ''}`)

it('is a line while nobody goes back', () => expect(tree({ 1: null, 2: 1, 3: 2 }, 3)).toEqual(['3', '2', '1']))
it('indents what was gone back from, over where it began', () => expect(tree({ 1: null, 2: 1, 3: 2, 4: 2, 5: 4 }, 5)).toEqual(['5', '4', '  3 <', '2', '1']))
it('follows the line the draft is on', () => expect(tree({ 1: null, 2: 1, 3: 2, 4: 2, 5: 4 }, 3)).toEqual(['3', '  5', '  4 <', '2', '1']))
it('survives a parent that is gone and a circle', () => expect(tree({ 2: 1, 3: 2, 5: null }, 3)).toHaveLength(3))
