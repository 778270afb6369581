import type { MadeWith } from '@idolon/core'
import { ApiProblem } from '../api/problem.ts'
import { sendBytes } from '../api/send-bytes.ts'

/** A picture that the server has taken in, with what it tells of how it was made. */
export interface Uploaded {
  sha256: string
  width: number
  height: number
  bytes: number
  made: MadeWith
}

/** Kinds of file that a picture may be, as a chooser of files is told. */
export const PICTURES = 'image/png,image/jpeg,image/webp,image/gif,image/avif,image/tiff'

const MOST_BYTES = 60_000_000

/** Sends a picture as it is. @throws {ApiProblem} that says why it was not taken in. */
export async function uploadPicture(file: Blob): Promise<Uploaded> {
  if (file.size > MOST_BYTES) throw new ApiProblem('too-large', `A picture may have 60 MB; this has ${Math.round(file.size / 1e6)}. Nothing was sent.`)
  return (await sendBytes('/api/pictures', file, { unreachable: 'The server does not answer. The picture is still where it was; send it again when it does.', refused: 'The picture was not taken in.' })) as Uploaded
}

/** The small picture of a reference, which is a picture by its hash or a proof by its id. */
export const thumbnailOf = (reference: string): string => (reference.includes('-') ? `/api/proofs/${reference}/thumbnail` : `/api/pictures/${reference}/thumbnail`)
