import { expect, it } from 'vitest'
import { sentenceVectors } from './sentences.ts'
import { VectorTable } from './vector-table.ts'

it('puts texts that say like things closer than others, and gives nothing a direction of its own', async () => {
  const texts = ['a kitten asleep on a windowsill in the evening, watercolour', 'a steam train crossing a viaduct in winter, travel poster', 'glass jars of honey on a wooden table, product photograph']
  const table = new VectorTable()
  const vectors = await sentenceVectors([...texts, '  '])
  texts.forEach((text, i) => { table.put(text, vectors[i]!) })
  const closest = async (text: string) => table.closest((await sentenceVectors([text]))[0]!, 1)[0]?.id
  expect(await closest('small sleepy cat by the window')).toBe(texts[0])
  expect(await closest('old railway locomotive on a bridge, snow')).toBe(texts[1])
  expect(await closest('sweet things in bottles, kitchen')).toBe(texts[2])
  expect(vectors[3]!.every((value) => value === 0)).toBe(true)
})
