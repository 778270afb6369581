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
    let own: Cuttable | undefined
    const server = createServer((socket) => {
      if (!own || own.#cut) {
        socket.destroy()
        return
      }
      const onward = connect(Number(target.port), target.hostname)
      for (const [a, b] of [[socket, onward], [onward, socket]] as const) {
        own.#sockets.add(a)
        a.on('error', () => b.destroy())
        a.on('close', () => {
          own?.#sockets.delete(a)
          b.destroy()
        })
        a.pipe(b)
      }
    })
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
    const url = new URL(databaseUrl)
    url.host = `127.0.0.1:${(server.address() as AddressInfo).port}`
    own = new Cuttable(url.href, server)
    return own
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
