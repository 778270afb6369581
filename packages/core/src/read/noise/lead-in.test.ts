import { describe, expect, it } from 'vitest'
import { findLeadIns } from './lead-in.ts'

const said = (text: string) => findLeadIns(text, true).map(({ start, end }) => text.slice(start, end))

describe('an instruction', () => {
  it.each([
    ['Please create an image of a fox', 'Please create an image of'],
    ['Your job is to illustrate a midwife cycling home', 'Your job is to illustrate'],
    ['I would be grateful for an image in which a widow weighs saffron', 'I would be grateful for an image in which'],
    ['Could you draw a heron', 'Could you draw'],
    ['My daughter wants a purple hamster', 'My daughter wants'],
    ['Show me cleansing balm', 'Show me'],
    ['Paint a harbour', 'Paint'],
    ['How about a geologist', 'How about'],
    ['Prompt: a fox', 'Prompt:'],
  ])('“%s”', (text, instruction) => expect(said(text)).toEqual([instruction]))
  it.each(['A woman paints a picture of her dog', 'Sketch of a barn', 'Shot with a long lens, a kite', 'Like a documentary, a baker at work', 'There is a woman of my region', 'Product shot: a teapot', 'I', ''])('none in “%s”', (text) => expect(said(text)).toEqual([]))
  it('only where a text begins', () => expect(findLeadIns('Please draw a fox', false)).toEqual([]))
  it('and thanks at its end', () => expect(said('a fox on a wall. Thank you very much!')).toEqual(['Thank you very much!']))
})
