import type { RequestHandler } from 'express'
import { ProblemError } from './problem.ts'

/**
 * Refuses requests that were not meant for this server: another Host (a rebound
 * name), another Origin, or a cross-site fetch. Loopback alone is no wall against a page in the same browser.
 */
export function ownOriginOnly(port: () => number): RequestHandler {
  return (request, _response, next) => {
    const hosts = new Set(['127.0.0.1', 'localhost', '[::1]'].map((name) => `${name}:${port()}`))
    const host = request.headers.host ?? ''
    const { origin } = request.headers
    const site = request.headers['sec-fetch-site']
    const navigates = request.headers['sec-fetch-mode'] === 'navigate' && request.method === 'GET'
    const foreign =
      !hosts.has(host) ||
      (origin !== undefined && origin !== `http://${host}`) ||
      (site === 'cross-site' && !(navigates && !request.path.startsWith('/api/')))
    if (foreign) throw new ProblemError('not-this-origin', 'Idolon answers only its own page on this machine. Open the address that ./idolon start printed.')
    next()
  }
}
