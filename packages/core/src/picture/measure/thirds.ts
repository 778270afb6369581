/** This near to a line at a third, as a share of the width or height, something stands on it; this far off both ways, it does not. */
const ON = 0.055
const OFF = 0.1

/** Whether a place lies where lines at the thirds cross; undefined where it is near. */
export function onThirds({ x, y }: { x: number; y: number }): boolean | undefined {
  const off = Math.max(...[x, y].map((at) => Math.min(Math.abs(at - 1 / 3), Math.abs(at - 2 / 3))))
  return off < ON ? true : off > OFF ? false : undefined
}
