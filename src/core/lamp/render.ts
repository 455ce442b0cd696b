import type { Marks, Scratch, Spot } from './marks'

/**
 * A panel under one point light. Light comes back to the eye from where the surface mirrors the lamp, and from
 * the flanks of scratches that lie across the line from there: that is why swirls seem to circle the lamp, and why
 * one has to move it to see them all.
 */

export type Light = { x: number; y: number }
export type Size = { width: number; height: number }

/** sRGB, 0–255 each. */
export type Rgb = readonly [red: number, green: number, blue: number]

/** Paint where none is said, a dark green, and the lamp, a cold white. */
const PAINT: Rgb = [13, 24, 19]
const LAMP: Rgb = [246, 249, 240]
/** Radius of the mirrored lamp and of its glow on flawless paint, shares of the width. */
const LAMP_RADIUS = 0.022
const GLOW_RADIUS = 0.13

/** Brightness of the unmarked surface, 0–1, at a distance from the lamp's reflection. */
function surface(distance: number, haze: number, chalk: number): number {
  const edge = LAMP_RADIUS * (1 + 2.5 * haze + 4 * chalk)
  const mirrored = 1 / (1 + Math.exp((distance - LAMP_RADIUS) / (edge * 0.16)))
  const reach = GLOW_RADIUS * (1 + 1.6 * haze + 2.2 * chalk)
  const glow = (0.2 + 0.3 * haze + 0.12 * chalk) * Math.exp(-((distance / reach) ** 2))
  const veil = 0.1 * chalk
  return Math.min(1, mirrored * (1 - 0.35 * haze - 0.6 * chalk) + glow + veil)
}

/** How far from the lamp a mark still flashes, share of the width. */
const FLASH_REACH = 0.27

/** Draws the panel into RGBA `pixels` (4 bytes a pixel, row by row). */
export function renderPanel(
  marks: Marks,
  light: Light,
  { width, height }: Size,
  pixels: Uint8ClampedArray,
  paint: Rgb = PAINT,
): void {
  const glow = new Float32Array(width * height)
  const [lx, ly] = [light.x * width, light.y * height]
  paintSurface(glow, marks, lx, ly, width, height)
  for (const scratch of marks.scratches) paintScratch(glow, scratch, lx, ly, width, height)
  for (const spot of marks.spots) paintSpot(glow, spot, lx, ly, width, height)
  const [red, green, blue] = [0, 1, 2].map((channel) => LAMP[channel]! - paint[channel]!) as [
    number,
    number,
    number,
  ]
  for (let at = 0, byte = 0; at < glow.length; at++, byte += 4) {
    const bright = Math.min(1, glow[at]!)
    pixels[byte] = paint[0] + red * bright
    pixels[byte + 1] = paint[1] + green * bright
    pixels[byte + 2] = paint[2] + blue * bright
    pixels[byte + 3] = 255
  }
}

/** Steps of the table of brightness by distance, over one width of the panel and a half. */
const TABLE_STEPS = 4096
const TABLE_REACH = 1.5

function paintSurface(
  glow: Float32Array,
  marks: Marks,
  lx: number,
  ly: number,
  width: number,
  height: number,
): void {
  // The glow depends on the distance alone, so it is worked out once for each distance and not for each pixel.
  const table = Float32Array.from({ length: TABLE_STEPS + 1 }, (_, step) =>
    surface((step / TABLE_STEPS) * TABLE_REACH, marks.haze, marks.chalk),
  )
  const perPixel = TABLE_STEPS / TABLE_REACH / width
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at++)
      glow[at] = table[Math.min(TABLE_STEPS, (distanceOf(x - lx, y - ly) * perPixel) | 0)]!
  if (marks.trails > 0) paintTrails(glow, marks, lx, ly, width, height)
}

/** Math.hypot guards against overflow, which no picture needs, and costs ten times as much. */
const distanceOf = (dx: number, dy: number) => Math.sqrt(dx * dx + dy * dy)

/** Buffer trails: bands along the path of the machine, brightest beside the lamp and moving with it. */
function paintTrails(
  glow: Float32Array,
  { trails, trailAngle }: Marks,
  lx: number,
  ly: number,
  width: number,
  height: number,
): void {
  const [dx, dy] = [Math.cos(trailAngle), Math.sin(trailAngle)]
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at++) {
      const across = ((x - lx) * -dy + (y - ly) * dx) / width
      const distance = distanceOf(x - lx, y - ly) / width
      const fade = Math.exp(-((across / 0.2) ** 2) - (distance / 0.42) ** 2)
      if (fade < 0.01) continue
      const band = 0.5 + 0.5 * Math.cos(across * 95 + 1.8 * Math.sin((x * dx + y * dy) / width / 0.09))
      glow[at]! += 0.26 * trails * band * fade
    }
}

function paintScratch(
  glow: Float32Array,
  scratch: Scratch,
  lx: number,
  ly: number,
  width: number,
  height: number,
): void {
  const steps = Math.max(3, Math.round(scratch.length * width))
  let x = scratch.x * width
  let y = scratch.y * height
  const [turnX, turnY] = [Math.cos(scratch.bend / steps), Math.sin(scratch.bend / steps)]
  let [dx, dy] = [Math.cos(scratch.angle), Math.sin(scratch.angle)]
  for (let step = 0; step < steps; step++) {
    ;[dx, dy] = [dx * turnX - dy * turnY, dx * turnY + dy * turnX]
    x += dx
    y += dy
    const [px, py] = [Math.round(x), Math.round(y)]
    if (px < 0 || py < 0 || px >= width || py >= height) continue
    const [rx, ry] = [x - lx, y - ly]
    const squared = rx * rx + ry * ry
    // A scratch flashes where it runs across the line to the lamp: sine of the angle between them, to the eighth.
    const across = (dx * ry - dy * rx) ** 2 / squared
    if (across < 0.4) continue
    const flash = across ** 4 * Math.exp(-squared / (width * FLASH_REACH) ** 2)
    glow[py * width + px]! += 1.35 * scratch.depth * flash
  }
}

function paintSpot(
  glow: Float32Array,
  spot: Spot,
  lx: number,
  ly: number,
  width: number,
  height: number,
): void {
  const [cx, cy, radius] = [spot.x * width, spot.y * height, Math.max(1.2, spot.radius * width)]
  const distance = distanceOf(cx - lx, cy - ly) / width
  const near = Math.exp(-((distance / (FLASH_REACH * 1.3)) ** 2))
  const reach = Math.ceil(radius + 1)
  for (let y = Math.max(0, Math.floor(cy - reach)); y <= Math.min(height - 1, cy + reach); y++)
    for (let x = Math.max(0, Math.floor(cx - reach)); x <= Math.min(width - 1, cx + reach); x++) {
      const from = distanceOf(x - cx, y - cy) / radius
      if (from > 1.15) continue
      const at = y * width + x
      if (spot.kind === 'ring')
        glow[at]! += spot.depth * 0.55 * near * Math.exp(-(((from - 0.9) / 0.14) ** 2))
      else if (spot.kind === 'patch') glow[at] = glow[at]! * (1 - 0.6 * spot.depth) + spot.depth * 0.16 * near
      // A chip shows primer: pale wherever the lamp stands.
      else if (from <= 1) glow[at] = Math.max(glow[at]!, 0.34 + 0.3 * near)
    }
}
