import { mix, oklch } from '../colour.ts'
import { ellipse, type Figure } from './figure.ts'

export const heron: Figure = {
  height: 0.56,
  width: 0.8,
  draw(pen) {
    const { palette, scene } = pen.canvas
    const metal = scene.palette.includes('brass') || scene.ownColours.includes('brass') || scene.palette.includes('copper')
    const body = metal ? mix(palette.lit(oklch(0.74, 0.13, 82)), oklch(0.74, 0.13, 80), 0.45) : scene.ownColours.length ? palette.accents[0] : palette.lit(oklch(0.68, 0.035, 250))
    const wing = mix(body, palette.ink, 0.28)
    const leg = palette.lit(oklch(0.52, 0.08, 70))
    pen.line('M4 -36L7 -18L2 0M2 0l-7 0.6M2 0l6 0.6', leg, 1.7)
    pen.line('M-6 -36L-9 -18L-12 0M-12 0l-7 0.6M-12 0l6 0.6', leg, 1.7)
    pen.shape('M-14 -40C-18 -58 -2 -62 12 -56C26 -50 36 -42 42 -32C28 -32 12 -31 2 -32C-6 -32 -12 -34 -14 -40Z', body)
    pen.shape('M-4 -52C10 -56 26 -46 40 -31C24 -34 8 -34 -2 -40C-7 -44 -8 -50 -4 -52Z', wing)
    for (let i = 0; i < 4; i++) pen.line(`M${4 + i * 6} ${-50 + i * 3.4}Q${14 + i * 6} ${-42 + i * 2.6} ${20 + i * 5} ${-36 + i * 1.2}`, mix(wing, palette.sun, 0.25), 0.8)
    pen.shape('M-13 -42C-22 -52 -4 -68 -16 -82C-19 -87 -17 -95 -9 -96C-1 -96 0 -88 -4 -84C-2 -68 2 -58 -6 -50Z', body)
    pen.shape('M-15 -92L-42 -84L-14 -86Z', palette.lit(oklch(0.76, 0.14, 72)))
    pen.line('M-6 -95Q6 -96 14 -88', wing, 1.6)
    pen.mark(ellipse(-11.5, -91, 1.3, 1.4), metal ? palette.glow : palette.ink)
    if (metal) {
      for (const [x, y] of [[-8, -46], [4, -44], [16, -42], [28, -37], [-9, -70], [-8, -60]] as const) pen.mark(ellipse(x, y, 0.9, 0.9), mix(body, palette.ink, 0.55))
      pen.line('M-14 -74h8M-13 -64h9', mix(body, palette.ink, 0.5), 0.9)
      pen.shape(ellipse(8, -46, 5.4, 5.4), mix(body, palette.sun, 0.2))
      for (let i = 0; i < 8; i++) {
        const a = (i / 8) * Math.PI * 2
        pen.line(`M8 -46L${8 + Math.cos(a) * 5} ${-46 + Math.sin(a) * 5}`, mix(body, palette.ink, 0.5), 0.7)
      }
    }
  },
}

export const songbird: Figure = {
  height: 0.2,
  width: 1.2,
  draw(pen) {
    const { palette, scene } = pen.canvas
    const back = scene.ownColours.length ? palette.accents[0] : palette.lit(oklch(0.5, 0.06, 70))
    pen.line('M-4 -12V0M8 -12V0', palette.lit(oklch(0.45, 0.06, 60)), 2.6)
    pen.shape('M34 -46L66 -34L62 -24L34 -30Z', mix(back, palette.ink, 0.25))
    pen.shape('M-40 -62C-40 -92 -6 -96 4 -74C26 -70 44 -48 36 -30C26 -8 -22 -4 -34 -30C-40 -42 -40 -52 -40 -62Z', back)
    pen.shape('M-40 -60C-36 -40 -20 -10 6 -10C-22 -8 -34 -20 -37 -36Z', palette.accents[1], 0.6)
    pen.shape('M4 -62C28 -60 42 -42 40 -28C22 -26 4 -36 4 -62Z', mix(back, palette.ink, 0.3))
    pen.shape('M-40 -70L-58 -64L-39 -59Z', palette.lit(oklch(0.7, 0.14, 70)))
    pen.mark(ellipse(-24, -72, 4, 4.4), palette.ink)
    pen.mark(ellipse(-25.4, -73.6, 1.2, 1.3), oklch(1, 0, 0))
  },
}
