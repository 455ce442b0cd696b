import { figure, unitSign } from '@/text/formats'
import { FILM_LEGEND_UM, filmColour, filmInk } from '@/ui/film-scale'
import { useRegion } from '@/ui/region'

/** What the colours and hatchings of the film mean, with their numbers. */
export function Legend() {
  const region = useRegion()
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2 text-sm text-ink-soft">
      <span className="flex">
        {FILM_LEGEND_UM.map((um) => (
          <span key={um} className="px-2 py-0.5" style={{ background: filmColour(um), color: filmInk(um) }}>
            {figure(region, 'depth', um)}
          </span>
        ))}
      </span>
      <span>{unitSign(region, 'depth')}, panel median</span>
      <Swatch mark="thin" label="thin" />
      <Swatch mark="repainted" fill={filmColour(230)} label="repainted" />
      <Swatch mark="unreadable" label="not metal, cannot be read" />
    </div>
  )
}

function Swatch({ mark, fill, label }: { mark: string; fill?: string; label: string }) {
  return (
    <span className="flex items-center gap-1.5">
      <svg width="22" height="16" aria-hidden="true">
        {fill && <rect width="22" height="16" fill={fill} />}
        <rect width="22" height="16" fill={`url(#mark-${mark})`} />
      </svg>
      {label}
    </span>
  )
}
