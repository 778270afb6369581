import type { LookupAddress } from 'node:dns'
import { lookup } from 'node:dns'
import { BlockList, isIP } from 'node:net'
import { Agent } from 'undici'
import { ServiceFailure } from './service-failure.ts'

/** Addresses that belong to this machine or its neighbourhood (RFC 1122, 1918, 3927, 4193, 4291, 6598, 6890). */
const PRIVATE = new BlockList()
for (const [net, prefix] of [['0.0.0.0', 8], ['10.0.0.0', 8], ['100.64.0.0', 10], ['127.0.0.0', 8], ['169.254.0.0', 16], ['172.16.0.0', 12], ['192.0.0.0', 24], ['192.168.0.0', 16], ['198.18.0.0', 15], ['224.0.0.0', 4], ['240.0.0.0', 4]] as const) PRIVATE.addSubnet(net, prefix, 'ipv4')
for (const [net, prefix] of [['::', 128], ['::1', 128], ['64:ff9b::', 96], ['fc00::', 7], ['fe80::', 10], ['ff00::', 8]] as const) PRIVATE.addSubnet(net, prefix, 'ipv6')

/** Whether an IP address is none of the open internet's; one written as IPv4 in IPv6 is what it stands for. */
export function isPrivate(address: string): boolean {
  const mapped = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(address)?.[1]
  const plain = mapped ?? address
  return PRIVATE.check(plain, isIP(plain) === 6 ? 'ipv6' : 'ipv4')
}

/**
 * The addresses that requests to engines and models may go to: the simulated ones' own, and what the operator has listed as
 * `host`, `host:port`, `public` (the open internet by https) or `private`. A name is held to it again by every
 * address it resolves to, at the moment of connecting, so that no answer of a name server leads elsewhere.
 */
export class AllowedAddresses {
  readonly #hosts: ReadonlySet<string>
  readonly #standins: readonly URL[]
  readonly dispatcher: Agent

  constructor(listed: string, ...standins: string[]) {
    this.#hosts = new Set(listed.split(/[\s,]+/).filter(Boolean).map((host) => host.toLowerCase()))
    this.#standins = standins.map((address) => new URL(address))
    this.dispatcher = new Agent({
      connect: {
        lookup: (hostname, options, callback) => {
          lookup(hostname, { ...options, all: true }, (error, found: LookupAddress[]) => {
            if (error) {
              callback(error, [])
              return
            }
            const bad = found.find(({ address }) => isPrivate(address) && !this.#mayBePrivate(hostname))
            if (bad) callback(Object.assign(new Error(`${hostname} leads to ${bad.address}, which is no address of the open internet.`), { code: 'NOT_ALLOWED' }), [])
            else callback(null, found)
          })
        },
      },
    })
  }

  /** Names that may lead to this machine or its neighbourhood: what was listed by name, and everything once “private” is. */
  #mayBePrivate(hostname: string): boolean {
    return this.#hosts.has('private') || [...this.#hosts].some((host) => host === hostname || host.startsWith(`${hostname}:`)) || this.#standins.some((standin) => standin.hostname === hostname)
  }

  /** @throws {ServiceFailure} in a sentence that says what the operator can do. */
  demand(address: string): URL {
    let url: URL
    try {
      url = new URL(address)
    } catch {
      throw this.#refusal(address, 'it is no address')
    }
    if (url.protocol !== 'http:' && url.protocol !== 'https:') throw this.#refusal(address, 'only http and https are spoken')
    if (url.username || url.password) throw this.#refusal(url.host, 'a name and password do not belong in an address')
    if (this.#standins.some(({ origin }) => origin === url.origin)) return url
    const hostname = url.hostname.replace(/^\[|\]$/g, '').toLowerCase()
    if (this.#hosts.has(hostname) || this.#hosts.has(url.host.toLowerCase())) return url
    const numeric = isIP(hostname) !== 0
    if (numeric ? isPrivate(hostname) : hostname === 'localhost' || hostname.endsWith('.localhost')) {
      if (this.#hosts.has('private')) return url
    } else if (this.#hosts.has('public') && url.protocol === 'https:') return url
    throw this.#refusal(url.host, 'it is not among the addresses this copy of Idolon may ask')
  }

  #refusal(where: string, why: string): ServiceFailure {
    return new ServiceFailure(`Nothing was sent to ${where.slice(0, 120)}: ${why}. Whoever runs this copy allows addresses in IDOLON_ENGINE_HOSTS.`, { charged: 'no', again: false })
  }
}
