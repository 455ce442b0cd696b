import { type judgeRecord, LEVEL_PANELS } from '@/core/survey'
import { REMARK } from '@/text/en/survey'
import { measured } from '@/text/formats'
import { useRegion } from '@/ui/region'

/** How thick the paint of this car is, and how far it has been read. */
export function HowFarRead({ judgement }: { judgement: ReturnType<typeof judgeRecord> }) {
  const region = useRegion()
  return (
    <p className="text-sm text-ink-soft">
      {judgement.read.of === 0 ? (
        'The paint gauge cannot read this vehicle. Judge it from the walk-round'
      ) : judgement.baseline ? (
        <>
          Typical paint depth of this car:{' '}
          <strong className="text-ink">{measured(region, 'depth', judgement.baseline.medianUm)}</strong>, from{' '}
          {`${judgement.baseline.panels} panels`}
        </>
      ) : (
        `No typical paint depth yet: read at least ${LEVEL_PANELS} metal panels`
      )}
      {judgement.remarks.map((remark) => (
        <strong key={remark} className="block text-copper">
          {REMARK[remark]}
        </strong>
      ))}
      {judgement.read.of > 0 && (
        <>
          <br />
          {judgement.read.panels} of {judgement.read.of} metal panels read
        </>
      )}
    </p>
  )
}
