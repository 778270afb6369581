import type { Proof, ProofComparison } from '@idolon/contract'
import { Differences, type Draft, fixedFacetsOf, type VersionBody } from '@idolon/core'
import { compareReadings } from '@idolon/core/reader'
import type { Database } from '../database/connect.ts'
import { promptReader } from '../phrases/prompt-reader.ts'
import { sameWords } from '../phrases/same-words.ts'

/** Fields that follow from others, or that say how many were asked for and not how one was made. */
const NOT_OF_ONE = new Set(['count', 'width', 'height'])
/** All that made a proof, as a draft with that engine alone. */
async function makingOf(db: Database, proof: Proof): Promise<Draft> {
  const { body } = await db('versions').where({ id: proof.versionId }).first<{ body: VersionBody }>('body')
  const settings = Object.fromEntries(Object.entries(proof.output.settings).filter(([key]) => !NOT_OF_ONE.has(key)))
  return { ...body, settings: { ...settings, ...(proof.seed === null ? {} : { seed: proof.seed }) }, engines: [{ engine: proof.engine.name, revision: proof.engine.revision }] }
}

/** Exactly what differs in what made two proofs, and how near their prompts are. */
export async function comparisonOf(db: Database, a: Proof, b: Proof): Promise<ProofComparison> {
  const [reader, sameness, first, second] = await Promise.all([promptReader(), sameWords(), makingOf(db, a), makingOf(db, b)])
  const [readA, readB] = [first, second].map(({ text, marks }) => reader.read(text, fixedFacetsOf(marks)))
  const { near, score } = compareReadings(readA!, readB!, sameness)
  return { near, score, differences: [...new Differences(first, second, readA!.phrases, readB!.phrases).list] }
}
