import { describe, expect, it } from 'vitest'
import { ruleConflicts } from './rule-conflicts.ts'
import { NO_RULES } from './rules.ts'

describe('house rules that cannot be kept together', () => {
  it('are said: what is demanded and forbidden, what is demanded and left out, what is named twice', () => {
    expect(ruleConflicts({ ...NO_RULES, must: [{ phrase: 'honey jars' }], never: ['honey'], leaveOut: ['jar'] })).toEqual([
      'Every prompt must say “honey jars”, and none may say “honey”.',
      'Every prompt must say “honey jars”, and “jar” is left out everywhere.',
    ])
    const skep = { name: 'skep yellow', value: '#E0B040' }
    expect(ruleConflicts({ ...NO_RULES, colours: [skep, { ...skep, name: 'Skep Yellow' }] })).toEqual(['Two colours are called “Skep Yellow”.'])
  })
  it('are not found in rules that can', () => {
    expect(ruleConflicts({ ...NO_RULES, must: [{ facet: 'light' }, { phrase: 'linocut' }], never: ['photograph'], leaveOut: ['text'] })).toEqual([])
  })
})
