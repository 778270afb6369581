import checks from 'virtual:contract-validators'
import { ApiProblem } from './problem.ts'

/** The check of a shape by its name, loaded when it is first wanted; see the contract's checked-in-browser. */
export async function checkOf(name: string): Promise<(value: unknown) => boolean> {
  const load = checks[name]
  if (!load) throw new Error(`There is no shape called ${name}.`)
  return (await load()).default
}

/** Whether `value` has the shape of that name. */
export const hasShape = async (name: string, value: unknown): Promise<boolean> => (await checkOf(name))(value)

/** @throws {ApiProblem} where `value` has not the shape of that name. */
export async function demandShape(name: string, value: unknown): Promise<void> {
  if (!(await hasShape(name, value))) throw new ApiProblem('internal', 'The server’s answer is not what this page expects. Reload the page; it may be older than the server.')
}
