import { crc32 } from 'node:zlib'

const SIGNATURE = 8
/** Length, type, 13 bytes and checksum of the header chunk, which is always first. */
const HEADER = 12 + 13
const KEYWORD = 'XML:com.adobe.xmp'

/**
 * A PNG with an XMP packet in it, as the XMP specification (part 3) has it: an uncompressed international text chunk. The
 * picture itself stays as it is, byte for byte. @throws when the bytes are no PNG.
 */
export function withXmp(png: Buffer, packet: string): Buffer {
  if (png.toString('latin1', 1, 4) !== 'PNG') throw new Error('The picture is no PNG.')
  // Keyword; no compression; no language; no translated keyword.
  const data = Buffer.concat([Buffer.from('iTXt'), Buffer.from(KEYWORD, 'latin1'), Buffer.from([0, 0, 0, 0, 0]), Buffer.from(packet, 'utf8')])
  const [length, checksum] = [Buffer.alloc(4), Buffer.alloc(4)]
  length.writeUInt32BE(data.length - 4)
  checksum.writeUInt32BE(crc32(data))
  const at = SIGNATURE + HEADER
  return Buffer.concat([png.subarray(0, at), length, data, checksum, png.subarray(at)])
}
