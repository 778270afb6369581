import { Id } from '@idolon/contract'
import { Type } from '@sinclair/typebox'
import type { IRouter } from 'express'
import Papa from 'papaparse'
import type { Database } from '../database/connect.ts'
import { demand } from '../http/validators.ts'
import { ledgerLines } from './sums.ts'

const Query = Type.Object({ project: Type.Optional(Id) }, { additionalProperties: false })

/** The whole ledger as CSV (RFC 4180): one line an entry, of one project or of all. */
export function ledgerRoutes(router: IRouter, db: Database): void {
  router.get('/api/ledger.csv', async (request, response) => {
    const query: { project?: string } = { ...request.query }
    demand(Query, query, 'query')
    const lines = (await ledgerLines(db, query.project)).map(({ at, price, currency, ...line }) => ({
      at: at.toISOString(),
      ...line,
      verdict: line.verdict ?? '',
      worth: price === null ? '' : (price * line.amount).toFixed(4),
      currency: price === null ? '' : currency,
    }))
    // A title that begins like a formula stays a text in a spreadsheet.
    const csv = Papa.unparse(lines, { newline: '\r\n', escapeFormulae: true, columns: ['at', 'project', 'prompt', 'engine', 'revision', 'kind', 'amount', 'unit', 'worth', 'currency', 'note', 'proof', 'turn', 'verdict'] })
    response.attachment('ledger.csv').type('text/csv; charset=utf-8').send(csv)
  })
}
