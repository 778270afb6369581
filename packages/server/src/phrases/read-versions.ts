import { bareText, type VersionBody } from '@idolon/core'
import type { Database } from '../database/connect.ts'
import { promptReader, readShown } from './prompt-reader.ts'

/** Named beside each version whose phrases were read, so that an older reader's can be read anew. */
const MAKER = 'phrases-1'
const BATCH = 50

/** Reads what versions say, phrase by phrase, where that has not been done or was done by an older reader. */
export async function readVersionPhrases(db: Database): Promise<void> {
  for (;;) {
    const done = await db.transaction(async (trx) => {
      const versions = await trx('versions').whereNull('phrases_maker').orWhereNot('phrases_maker', MAKER).limit(BATCH).forUpdate().skipLocked().select<{ id: string; body: VersionBody }[]>('id', 'body')
      if (versions.length === 0) return true
      const reader = await promptReader()
      for (const { id, body } of versions) {
        const { phrases } = readShown(reader, body)
        // An index row holds no more than that.
        const said = new Set(phrases.map(({ text }) => bareText(text).replaceAll('\u0000', '').slice(0, 400)).filter(Boolean))
        await trx('version_phrases').where({ version_id: id }).delete()
        if (said.size) await trx('version_phrases').insert([...said].map((phrase) => ({ version_id: id, phrase })))
        await trx('versions').where({ id }).update({ phrases_maker: MAKER })
      }
      return false
    })
    if (done) return
  }
}
