import { type Draft, fixedFacetsOf, isEmptyEdit, offeredEdit, type SceneBody, applyEdit } from '@idolon/core'
import { composeChecked, type Language, type PhraseLeft } from '@idolon/core/check'
import { type PartNow, partsOf, type Reader } from '@idolon/core/reader'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { partsNow } from '../parts/store.ts'
import { checkLanguage, promptReader } from '../phrases/prompt-reader.ts'
import { firstDraftOf } from '../prompts/first-draft.ts'

export interface Composed {
  draft: Draft
  left: PhraseLeft[]
}

/** Composes the scenes of one project from its parts as they are now, for the engine that each is written for. */
export class Composer {
  private constructor(
    readonly parts: ReadonlyMap<string, PartNow>,
    private readonly first: Draft,
    readonly reader: Reader,
    private readonly language: Language,
    private readonly keywordEngines: ReadonlySet<string>,
  ) {}

  static async of(db: Database | Knex.Transaction, engines: Engines, projectId: string): Promise<Composer> {
    const [parts, first, reader, language, all] = await Promise.all([partsNow(db, projectId), firstDraftOf(db, engines, projectId), promptReader(), checkLanguage(), engines.list()])
    return new Composer(parts, first, reader, language, new Set(all.filter(({ profile }) => profile.reads === 'keywords').map(({ profile }) => profile.id)))
  }

  /** `instead` has parts say something that is not kept yet. */
  compose(body: SceneBody, style: string | null, instead: ReadonlyMap<string, PartNow> = this.parts): Composed {
    const parts = partsOf(body, style, instead)
    const engines = parts.style?.body.engines.length ? parts.style.body.engines : this.first.engines
    const keywords = engines[0] !== undefined && this.keywordEngines.has(engines[0].engine)
    const { draft, left } = composeChecked(body, parts, this.language, (text) => this.reader.read(text), { keywords })
    return {
      draft: { ...this.first, text: draft.text, marks: draft.marks, leaveOut: [...new Set([...this.first.leaveOut, ...draft.leaveOut])], references: draft.references, settings: { ...this.first.settings, ...draft.settings }, engines },
      left,
    }
  }

  /** What a draft says, as the Desk reads it. */
  read({ text, marks }: Pick<Draft, 'text' | 'marks'>): ReturnType<Reader['read']> {
    return this.reader.read(text, fixedFacetsOf(marks))
  }
}

/**
 * A draft after the scene it is of was changed: what was composed before gives way to what is composed now, and what was
 * written since stays. Undefined where it was written otherwise just there.
 */
export function recomposed(before: Draft, after: Draft, now: Draft): Draft | undefined {
  const ground = (from: Draft): Draft => ({ ...now, text: from.text, marks: from.marks, leaveOut: from.leaveOut, references: from.references, settings: from.settings, engines: from.engines })
  const edit = offeredEdit(ground(before), ground(after), now)
  return edit && (isEmptyEdit(edit) ? now : applyEdit(now, edit))
}
