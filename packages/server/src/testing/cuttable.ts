import { connect, createServer, type Server, type Socket } from 'node:net'
import type { AddressInfo } from 'node:net'

/** A way to a database that can be cut and mended, as a network or a restart of the database cuts it. */
export class Cuttable {
  readonly #sockets = new Set<Socket>()
  #cut = false
  private constructor(
    readonly url: string,
    private readonly server: Server,
  ) {}

  static async to(databaseUrl: string): Promise<Cuttable> {
    const target = new URL(databaseUrl)
    const made: { own?: Cuttable } = {}
    const server = createServer((socket) => {
      const held = made.own
      if (!held || held.#cut) {
        socket.destroy()
        return
      }
      const onward = connect(Number(target.port), target.hostname)
      for (const [a, b] of [[socket, onward], [onward, socket]] as const) {
        held.#sockets.add(a)
        a.on('error', () => b.destroy())
        a.on('close', () => {
          held.#sockets.delete(a)
          b.destroy()
        })
        a.pipe(b)
      }
    })
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
    const url = new URL(databaseUrl)
    url.host = `127.0.0.1:${(server.address() as AddressInfo).port}`
    made.own = new Cuttable(url.href, server)
    return made.own
  }

  cut(): void {
    this.#cut = true
    for (const socket of this.#sockets) socket.destroy()
  }
  mend(): void {
    this.#cut = false
  }
  async close(): Promise<void> {
    this.cut()
    await new Promise((resolve) => this.server.close(resolve))
  }
}
