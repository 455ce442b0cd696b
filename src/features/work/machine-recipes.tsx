import type { MachineRecipe } from '@/core/card'
import { dialText } from '@/text/en/at-the-car'
import { sentence } from '@/text/en/sentence'
import { staffPanel } from '@/text/en/staff-panels'
import { workInEnglish } from '@/text/en/work'
import { measured } from '@/text/formats'
import { useRegion } from '@/ui/region'

/** How each group of panels is worked: machine, pad, compound or polish, passes. */
export function MachineRecipes({ recipes }: { recipes: readonly MachineRecipe[] }) {
  const region = useRegion()
  const words = workInEnglish
  return (
    <table className="mt-4 w-full text-left">
      <thead className="text-sm text-ink-soft">
        <tr>
          <th className="py-1 font-normal">Machine and pad</th>
          <th className="py-1 font-normal">Compound or polish</th>
          <th className="py-1 font-normal">Section, passes</th>
          <th className="py-1 font-normal">Speed</th>
        </tr>
      </thead>
      <tbody>
        {recipes.map((recipe) => (
          <tr key={recipe.id} className="border-t border-line align-top">
            <td className="py-2 pr-3">
              <strong className="font-semibold">{sentence(words.machine[recipe.machine])}</strong>,{' '}
              {words.pad[recipe.pad]}
              {recipes.length > 1 && (
                <span className="block text-sm text-ink-soft">
                  {recipe.panels.map((id) => staffPanel(region, id)).join(', ')}
                </span>
              )}
            </td>
            <td className="py-2 pr-3">{sentence(words.liquid[recipe.liquid])}</td>
            <td className="py-2 pr-3 whitespace-nowrap">
              {measured(region, 'length', recipe.sectionM, 2)}, {recipe.passes} passes
            </td>
            <td className="py-2">
              {recipe.armMmPerSecond} mm/s, {recipe.machine === 'hand' ? 'by hand' : dialText(recipe.dial)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
