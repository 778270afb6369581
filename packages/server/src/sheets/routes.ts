import { Id } from '@idolon/contract'
import { Type } from '@sinclair/typebox'
import type { IRouter } from 'express'
import type { Database } from '../database/connect.ts'
import { demand } from '../http/validators.ts'
import { sheetPdf } from './pdf.ts'
import type { ClientSheets } from './service.ts'

const Params = Type.Object({ sheet: Id })

export function sheetRoutes(router: IRouter, db: Database, sheets: ClientSheets): void {
  router.get('/api/client-sheets/:sheet.pdf', async (request, response) => {
    demand(Params, request.params, 'path')
    const sheet = await sheets.read((request.params as { sheet: string }).sheet)
    const pdf = await sheetPdf(db, sheet)
    response.attachment(`${sheet.title.replace(/[^\p{L}\p{N} -]+/gu, '').trim() || 'proofs'}.pdf`).type('application/pdf').send(pdf)
  })
}
