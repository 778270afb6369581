import { expect, it } from 'vitest'
import { fileTask } from './database-files.ts'

it('takes one file, and says what it does not understand', () => {
  expect(fileTask('restore', ['all.backup', '--data', '/tmp/x', '--replace'])).toEqual({ file: 'all.backup', data: '/tmp/x', replace: true })
  expect(() => fileTask('backup', [])).toThrow(/takes one file/)
  expect(() => fileTask('backup', ['a', 'b'])).toThrow(/takes one file/)
  expect(() => fileTask('backup', ['a', '--fast'])).toThrow(/backup: .*--fast/)
})
