import knex, { type Knex } from 'knex'
import pg from 'pg'

// bigint and count(*) come as text by default; ours stay far below 2^53.
pg.types.setTypeParser(pg.types.builtins.INT8, Number)

export type Database = Knex

export function connectDatabase(url: string, maxConnections = 10): Database {
  const silent = () => undefined
  return knex({
    // What fails is said by whoever asked; the library would print it a second time.
    log: { warn: silent, error: silent, deprecate: silent, debug: silent },
    client: 'pg',
    connection: { connectionString: url, application_name: 'idolon' },
    pool: { min: 0, max: maxConnections },
    acquireConnectionTimeout: 10_000,
  })
}
