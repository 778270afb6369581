import { strFromU8, unzipSync } from 'fflate'
import { afterEach, expect, it, vi } from 'vitest'
import { asOne, sendFile } from './send-file.ts'

afterEach(() => vi.unstubAllGlobals())
const file = (path: string, text: string) => Object.defineProperty(new File([text], path.split('/').at(-1)!), 'webkitRelativePath', { value: path.includes('/') ? path : '' })

it('sends one file as it is, and a folder as an archive of its texts by their paths', async () => {
  const one = file('mine.csv', 'text\nan owl')
  expect(await asOne([one])).toEqual({ name: 'mine.csv', body: one })
  const { name, body } = await asOne([file('birds/night/owl.txt', 'an owl'), file('birds/heron.txt', 'a heron')])
  expect(name).toBe('birds.zip')
  const files = unzipSync(new Uint8Array(await body.arrayBuffer()))
  expect(Object.fromEntries(Object.entries(files).map(([path, bytes]) => [path, strFromU8(bytes)]))).toEqual({ 'birds/night/owl.txt': 'an owl', 'birds/heron.txt': 'a heron' })
})

it('tells what the server found wrong with a file', async () => {
  vi.stubGlobal('fetch', vi.fn().mockResolvedValue(new Response(JSON.stringify({ type: '/problems/unreadable-file', title: '', status: 422, detail: 'Line 3: it is not in UTF-8. Nothing was imported.' }), { status: 422 })))
  await expect(sendFile({ name: 'a.csv', body: new Blob(['x']) }, 'windows-1252')).rejects.toThrow('Line 3')
  expect(vi.mocked(fetch).mock.calls[0]![0]).toBe('/api/imports?name=a.csv&encoding=windows-1252')
})
