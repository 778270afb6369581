import { describe, expect, it } from 'vitest'
import { templateProblems } from './body.ts'
import { readOptions, readTable } from './table.ts'
import { takenApart } from './take-apart.ts'
import { filledExactly, readTemplate } from './template.ts'

describe('a sheet of values', () => {
  it('goes by the names in its first row, in any order, and says what is no slot', () => {
    expect(readTable('place\tsubject\tprice\na barn\tan owl\t3\na mill\ta "red" fox\t4', ['subject', 'place'])).toEqual({ rows: [{ place: 'a barn', subject: 'an owl' }, { place: 'a mill', subject: 'a "red" fox' }], unknown: ['price'], problems: [] })
  })
  it('goes by order where nothing names a slot, by commas or semicolons, quoted values and all', () => {
    expect(readTable('an owl;"a barn, at night"\na fox;', ['subject', 'place']).rows).toEqual([{ subject: 'an owl', place: 'a barn, at night' }, { subject: 'a fox' }])
  })
  it('is a value a line for one slot', () => {
    expect(readTable('an owl, asleep\n\na fox', ['subject']).rows).toEqual([{ subject: 'an owl, asleep' }, { subject: 'a fox' }])
  })
  it('names the row of what cannot be used, and keeps the rest', () => {
    const { rows, problems } = readTable(`subject,place\nfox,barn\n${'x'.repeat(501)},mill\nowl,mill,too,many`, ['subject', 'place'])
    expect(rows).toEqual([{ subject: 'fox', place: 'barn' }, { subject: 'owl', place: 'mill' }])
    expect(problems).toEqual(['Row 3: the value in column 1 is longer than 500 characters; the row was left out.', 'Row 4 has 4 values for 2 columns; the last were left out.'])
    expect(readTable('subject,place\n"fox,barn\nowl,mill', ['subject', 'place']).problems[0]).toMatch(/^Row 2: a quote/)
  })
})

describe('options', () => {
  it('are read from lines or a sheet, each once, and at most ten thousand', () => {
    expect(readOptions('dusk\n dawn \n\ndusk').options).toEqual(['dusk', 'dawn'])
    expect(readOptions('"soft, low light"\tx\n"rim light"\ty').options).toEqual(['soft, low light', 'rim light'])
    const many = readOptions(Array.from({ length: 10_050 }, (_, i) => `option ${i}`).join('\n'))
    expect([many.options.length, many.problems]).toEqual([10_000, ['A slot has at most 10,000 options; 50 were left out.']])
  })
})

describe('a text taken apart', () => {
  it('has a slot for each phrase, and is the text again when filled', () => {
    const text = 'a red fox in a forest, dusk, gouache {{ x }}'
    const { text: template, slots, values } = takenApart(text, [{ start: 13, end: 21, facet: 'setting' }, { start: 2, end: 9, facet: 'subject' }])
    expect(template.startsWith('a {{ subject }} in {{ setting }}, dusk')).toBe(true)
    expect(slots.map(({ name, options }) => [name, options])).toEqual([['subject', ['red fox']], ['setting', ['a forest']], ['braces', ['{{']], ['braces 2', ['}}']]])
    expect(filledExactly(readTemplate(template).parts, values)).toBe(text)
  })
})

describe('a template that cannot be used', () => {
  const slot = (name: string, options: string[] = [], fallback = '') => ({ name, hint: '', options, fallback })
  it.each<[string, string, ReturnType<typeof slot>[], RegExp]>([
    ['an open slot', 'a fox,\n{{ place', [], /^Line 2: /],
    ['nothing to fill', 'a fox', [], /no slot/],
    ['a slot described twice', '{{ a }}', [slot('a'), slot('a')], /twice/],
    ['an option that refers to a slot', '{{ a }}', [slot('a', ['x', 'the {{ a }}'])], /^Line 2 of the options of “a” refers to a slot/],
    ['a default that does', '{{ a }}', [slot('a', [], '{{ a }}')], /by itself refers to a slot/],
  ])('says so: %s', (_, text, slots, says) => {
    expect(templateProblems({ text, slots })[0]).toMatch(says)
  })
})
