import clsx from 'clsx'
import type { Mark, Photo } from '@/core/photo'

export const photoUrl = ({ hash }: Photo, size: 'thumb' | 'full') =>
  `/api/photos/${hash}${size === 'thumb' ? '?size=thumb' : ''}`

type Props = { photo: Photo; size: 'thumb' | 'full'; className?: string; marks?: readonly Mark[] }

/** A photograph with what was drawn on it. The picture comes when it is looked at; its place is kept till then. */
export function MarkedPhoto({ photo, size, className, marks = photo.marks }: Props) {
  return (
    <span
      className={clsx('relative block', className)}
      style={{ aspectRatio: `${photo.width} / ${photo.height}` }}
    >
      {/* biome-ignore lint/performance/noImgElement: the picture is already of the right size and never leaves the shop. */}
      <img
        src={photoUrl(photo, size)}
        alt=""
        width={photo.width}
        height={photo.height}
        loading="lazy"
        decoding="async"
        draggable={false}
        className="block h-full w-full bg-lichen object-cover"
      />
      <Marks photo={photo} marks={marks} />
    </span>
  )
}

export function Marks({ photo: { width, height }, marks }: { photo: Photo; marks: readonly Mark[] }) {
  if (marks.length === 0) return null
  const stroke = Math.max(width, height) / 130
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="pointer-events-none absolute inset-0 h-full w-full"
      aria-hidden="true"
    >
      {marks.map((mark, at) => (
        <g key={at} fill="none" strokeLinecap="round" strokeLinejoin="round">
          <path d={markPath(mark, width, height)} stroke="#fbf9f2" strokeWidth={stroke * 2} />
          <path d={markPath(mark, width, height)} stroke="#c25a12" strokeWidth={stroke} />
        </g>
      ))}
    </svg>
  )
}

/** Outline of a mark on a picture of that size. */
export function markPath(mark: Mark, width: number, height: number): string {
  if (mark.kind === 'circle') {
    const [x, y, r] = [mark.x * width, mark.y * height, mark.r * width]
    return `M${x - r},${y} a${r},${r} 0 1 0 ${2 * r},0 a${r},${r} 0 1 0 ${-2 * r},0 Z`
  }
  const [x1, y1, x2, y2] = [mark.fromX * width, mark.fromY * height, mark.toX * width, mark.toY * height]
  const angle = Math.atan2(y2 - y1, x2 - x1)
  const head = Math.max(width, height) / 28
  const wing = (turn: number) => `${x2 - head * Math.cos(angle + turn)},${y2 - head * Math.sin(angle + turn)}`
  return `M${x1},${y1} L${x2},${y2} M${wing(0.45)} L${x2},${y2} L${wing(-0.45)}`
}
