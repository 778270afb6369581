import type { Knex } from 'knex'
import type { Database } from './connect.ts'
import { up as apiKeys } from './api-keys-migration.ts'
import { up as engineConnections } from './engine-connections-migration.ts'
import { up as first } from './first-migration.ts'
import { up as helpers } from './helpers-migration.ts'
import { up as imports } from './imports-migration.ts'
import { up as keptPhrases } from './kept-phrases-migration.ts'
import { up as manners } from './manners-migration.ts'
import { up as meaning } from './meaning-migration.ts'
import { up as presentWords } from './present-words-migration.ts'
import { up as references } from './references-migration.ts'
import { up as rulesGlossaryEngines } from './rules-glossary-engines-migration.ts'
import { up as series } from './series-migration.ts'
import { up as shelf } from './shelf-migration.ts'
import { up as savedSearches } from './saved-searches-migration.ts'
import { up as shelfFlags } from './shelf-flags-migration.ts'
import { up as shelfParts } from './shelf-parts-migration.ts'
import { up as templates } from './templates-migration.ts'
import { up as trials } from './trials-migration.ts'
import { up as tryLookJudge } from './try-look-judge-migration.ts'

/** Forward only; a name never changes once it has landed. */
const MIGRATIONS: { name: string; up: (db: Knex) => Promise<void> }[] = [
  { name: '2026-11-25-first', up: first },
  { name: '2026-11-25-kept-phrases', up: keptPhrases },
  { name: '2026-11-25-rules-glossary-engines', up: rulesGlossaryEngines },
  { name: '2026-11-25-engine-connections', up: engineConnections },
  { name: '2026-11-26-try-look-judge', up: tryLookJudge },
  { name: '2026-11-26-helpers', up: helpers },
  { name: '2026-11-26-references', up: references },
  { name: '2026-11-26-templates', up: templates },
  { name: '2026-11-26-trials', up: trials },
  { name: '2026-11-26-manners', up: manners },
  { name: '2026-11-26-shelf', up: shelf },
  { name: '2026-11-26-meaning', up: meaning },
  { name: '2026-11-26-imports', up: imports },
  { name: '2026-11-26-series', up: series },
  { name: '2026-11-27-shelf-parts', up: shelfParts },
  { name: '2026-12-01-present-words', up: presentWords },
  { name: '2026-12-01-shelf-flags', up: shelfFlags },
  { name: '2026-12-01-saved-searches', up: savedSearches },
  { name: '2026-12-01-api-keys', up: apiKeys },
]

/** Brings the database to the newest shape. Several processes may call it at once. */
export async function migrate(db: Database): Promise<void> {
  await db.migrate.latest({
    migrationSource: {
      getMigrations: () => Promise.resolve(MIGRATIONS),
      getMigrationName: (migration: (typeof MIGRATIONS)[number]) => migration.name,
      getMigration: (migration: (typeof MIGRATIONS)[number]) =>
        Promise.resolve({ up: migration.up, down: () => Promise.reject(new Error('Migrations go forward only.')) }),
    },
    tableName: 'migrations',
  })
}
