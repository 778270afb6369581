import { Type } from '@sinclair/typebox'
import { FAULTS } from './fault.ts'

export type Fault = keyof typeof FAULTS
export const Fault = Type.Unsafe<Fault>(Type.Union(Object.keys(FAULTS).map((fault) => Type.Literal(fault)), { title: 'Fault' }))
