import type { Version } from '@idolon/contract'

/** A version in the order of its history, with how far it is indented. */
export interface TreeRow {
  version: Version
  /** 0 for the line that the writer is on. */
  depth: number
  /** The first of a branch: it goes on from a version that is not the one under it. */
  branches: boolean
}

/**
 * Versions, newest first, as a line with branches: the line runs from the version that the draft goes on from back to the
 * first; what was gone back from stands indented over the version it began at.
 */
export function versionTree(versions: readonly Version[], here: number | null): TreeRow[] {
  const byNumber = new Map(versions.map((version) => [version.number, version]))
  const childrenOf = new Map<number | null, Version[]>()
  for (const version of versions) {
    // One whose parent is not there any more begins a line of its own.
    const parent = version.parent !== null && byNumber.has(version.parent) ? version.parent : null
    childrenOf.set(parent, [...(childrenOf.get(parent) ?? []), version])
  }
  const onLine = new Set<number>()
  for (let at = here === null ? undefined : byNumber.get(here); at && !onLine.has(at.number); at = at.parent === null ? undefined : byNumber.get(at.parent)) onLine.add(at.number)
  const newest = (version: Version): number => Math.max(version.number, ...(childrenOf.get(version.number) ?? []).map(newest))
  const rows: TreeRow[] = []
  function walk(version: Version, depth: number, branches: boolean): void {
    const children = [...(childrenOf.get(version.number) ?? [])].sort((a, b) => Number(onLine.has(a.number)) - Number(onLine.has(b.number)) || newest(a) - newest(b))
    const main = children.at(-1)
    rows.push({ version, depth, branches })
    for (const child of children) if (child !== main) walk(child, depth + 1, true)
    if (main) walk(main, depth, false)
  }
  const roots = [...(childrenOf.get(null) ?? [])].sort((a, b) => a.number - b.number)
  roots.forEach((root, i) => walk(root, i === 0 || onLine.has(root.number) ? 0 : 1, i > 0))
  return rows.reverse()
}
