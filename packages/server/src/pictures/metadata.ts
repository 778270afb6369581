import type { MetadataField } from '@idolon/core'
import ExifReader from 'exifreader'

/** Fields a picture may carry that say nothing of how it was made. */
const MOST = 300
const LONGEST = 60_000

/** A value as text; what is bytes is read as UTF-8 or, behind the mark that EXIF puts before it, as it says. */
function textOf(value: unknown): string | undefined {
  if (typeof value === 'string') return value
  if (typeof value === 'number') return String(value)
  if (Array.isArray(value)) {
    if (value.length && value.every((one) => typeof one === 'number')) {
      const bytes = Buffer.from(value as number[])
      const mark = bytes.subarray(0, 8).toString('latin1').replace(/\0+$/, '')
      if (mark === 'UNICODE') {
        // The order of bytes is the file's; a text in Latin letters tells it.
        const body = bytes.subarray(8)
        const little = body.length > 1 && body[1] === 0
        return new TextDecoder(little ? 'utf-16le' : 'utf-16be').decode(body)
      }
      return new TextDecoder().decode(mark === 'ASCII' ? bytes.subarray(8) : bytes)
    }
    return value.map((one) => textOf((one as { value?: unknown } | null)?.value ?? one)).filter(Boolean).join('\n')
  }
  return undefined
}

/**
 * All that a picture says of itself as text: PNG text, EXIF, IPTC and XMP, by whatever names. Compressed text is unfolded only
 * as far as the reader of metadata does by itself. Never throws: a picture whose metadata cannot be read has none.
 */
export async function metadataOf(bytes: Buffer): Promise<MetadataField[]> {
  try {
    const groups = await ExifReader.load(bytes, { expanded: true, async: true, includeUnknown: true })
    const fields: MetadataField[] = []
    for (const [group, tags] of Object.entries(groups)) {
      if (!['exif', 'xmp', 'iptc', 'pngText', 'png'].includes(group) || tags === null || typeof tags !== 'object') continue
      for (const [name, tag] of Object.entries(tags as Record<string, { value?: unknown; description?: unknown }>)) {
        if (name.startsWith('_') || tag === null || typeof tag !== 'object') continue
        const value = (textOf(tag.value) ?? textOf(tag.description))?.replaceAll('\0', '').trim()
        if (value) fields.push({ name, value: value.slice(0, LONGEST) })
      }
    }
    return fields.slice(0, MOST)
  } catch {
    return []
  }
}
