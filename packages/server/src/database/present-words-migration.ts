import { inPresentWords } from '@idolon/core'
import type { Knex } from 'knex'

/** Any name that a stored value may have from before; what a row says in its own words may match, and then stays as it is. */
const OLDER = '"(fixed|waived|fixed-kept|piece|pieces|piecesIn|piecesOut|fixedLost|manner|instruction)"'
const ROWS_AT_ONCE = 500
/** Helpers that ship, by what they were called. */
const HELPERS = [['in-a-manner', 'in-a-style'], ['say-otherwise', 'rephrase'], ['carry-over', 'change-throughout']] as const

async function rewrite(db: Knex, table: string, column: string): Promise<void> {
  let after = '(0,0)'
  for (;;) {
    const { rows } = await db.raw<{ rows: { at: string; value: string }[] }>(`select ctid::text as at, ??::text as value from ?? where ctid > ?::tid and ??::text ~ ? order by ctid limit ?`, [column, table, after, column, OLDER, ROWS_AT_ONCE])
    for (const { at, value } of rows) {
      const now = JSON.stringify(inPresentWords(JSON.parse(value)))
      if (now !== JSON.stringify(JSON.parse(value))) await db.raw('update ?? set ?? = ? where ctid = ?::tid', [table, column, now, at])
    }
    if (rows.length < ROWS_AT_ONCE) return
    after = rows.at(-1)!.at
  }
}

/**
 * One thing, one name: what was a manner is a writing style, a piece a token, what was fixed is locked, what was waived is
 * dismissed. Nothing that was kept changes in what it says, so rows that are never altered are rewritten here all the same.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
alter table manners rename to writing_styles;
alter table turns rename column fixed_lost to locked_lost;
alter table proofs rename column brought_in to imported;
alter index proofs_brought_in_once rename to proofs_imported_once;
update bin set kind = 'writing-style' where kind = 'manner';
update turns set unit = 'token' where unit = 'piece';
`)
  const { rows: frozen } = await db.raw<{ rows: { table_name: string }[] }>(`select distinct event_object_table as table_name from information_schema.triggers where trigger_schema = current_schema() and event_manipulation = 'UPDATE'`)
  for (const { table_name } of frozen) await db.raw('alter table ?? disable trigger user', [table_name])
  await db.raw(`
update ledger set unit = 'token' where unit = 'piece';
update ledger set note = 'imported' where note = 'brought in';
`)
  for (const [before, now] of HELPERS) {
    await db.raw('insert into helpers select ?, shipped, place, current, made_by, made_at, deleted_at from helpers where id = ?', [now, before])
    for (const table of ['helper_versions', 'helper_cases', 'case_runs', 'turns']) await db(table).where({ helper_id: before }).update({ helper_id: now })
    await db('helpers').where({ id: before }).delete()
  }
  const { rows: columns } = await db.raw<{ rows: { table_name: string; column_name: string }[] }>(
    `select table_name, column_name from information_schema.columns join information_schema.tables using (table_schema, table_name) where table_schema = current_schema() and table_type = 'BASE TABLE' and data_type in ('json', 'jsonb')`,
  )
  for (const { table_name, column_name } of columns) await rewrite(db, table_name, column_name)
  for (const { table_name } of frozen) await db.raw('alter table ?? enable trigger user', [table_name])
}
