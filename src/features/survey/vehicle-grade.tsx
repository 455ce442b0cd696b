'use client'

import { type Grade, wholeIndex } from '@/core/survey'
import { gradeRestsOn } from '@/text/en/survey'
import { useRegion } from '@/ui/region'

/** The condition of the car with what it rests on: how many panels were inspected, and the worst of them. */
export function VehicleGrade({ grade }: { grade: Grade | undefined }) {
  const region = useRegion()
  return (
    <p className="flex flex-wrap items-baseline gap-x-2" data-testid="vehicle-grade">
      {grade ? (
        <>
          <span className="font-head text-4xl font-bold">{grade.letter}</span>
          <span className="text-lg">{wholeIndex(grade.index)}</span>
          <span className="text-sm text-ink-soft">{gradeRestsOn(region, grade)}</span>
        </>
      ) : (
        <span className="font-head text-xl font-semibold text-ink-soft">Not inspected yet</span>
      )}
    </p>
  )
}
