import * as validators from 'virtual:contract-validators'
import { ApiProblem } from './problem.ts'

/** Whether `value` has the shape of that name; see the contract's checked-in-browser. */
export function hasShape(name: string, value: unknown): boolean {
  const check = (validators as unknown as Record<string, ((value: unknown) => boolean) | undefined>)[name]
  if (!check) throw new Error(`There is no shape called ${name}.`)
  return check(value)
}

export function demandShape(name: string, value: unknown): void {
  if (!hasShape(name, value)) throw new ApiProblem('internal', 'The server’s answer is not what this page expects. Reload the page; it may be older than the server.')
}
