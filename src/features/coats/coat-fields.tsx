import { OTHER_SURFACES, type Product } from '@/core/coating'
import { toProductId } from '@/core/ids'
import type { PackageTemplate } from '@/core/offer'
import { PRODUCT_KIND_NAME, suitedName } from '@/text/en/products'
import { surfaceName } from '@/text/en/step-names'
import { Field } from '@/ui/field'

type Coats = Pick<PackageTemplate, 'layers' | 'surfaces'>
type Props = {
  coats: Coats
  catalogue: readonly Product[]
  onChange: (changed: Partial<Coats>) => void
}

const MOST_LAYERS = 4
const NOT_CHOSEN = toProductId('')

/** Products the shop still offers, and those that are chosen. */
const onOffer = ({ layers, surfaces }: Coats, catalogue: readonly Product[]) =>
  catalogue.filter(
    ({ id, retired }) =>
      !retired || layers.includes(id) || surfaces.some(({ productId }) => productId === id),
  )

/** The layers of the paint, the first at the bottom: one field more than there are layers. */
export function LayerFields({ coats, catalogue, onChange }: Props) {
  const { layers: chosen } = coats
  const layers = [...chosen, ...(chosen.length < MOST_LAYERS ? [NOT_CHOSEN] : [])]
  return (
    <ol className="grid gap-2 sm:grid-cols-2">
      {layers.map((id, at) => (
        <li key={`${at}-${id}`}>
          <Field label={`Layer ${at + 1}`}>
            <select
              className="field"
              value={id}
              onChange={(event) =>
                onChange({
                  layers: layers
                    .map((each, index) => (index === at ? toProductId(event.target.value) : each))
                    .filter(Boolean),
                })
              }
            >
              <option value="">none</option>
              {onOffer(coats, catalogue)
                .filter(({ surfaces }) => surfaces.includes('paint'))
                .map((product) => (
                  <option key={product.id} value={product.id}>
                    {suitedName(product)}, {PRODUCT_KIND_NAME[product.kind].toLowerCase()}
                  </option>
                ))}
            </select>
          </Field>
        </li>
      ))}
    </ol>
  )
}

/** What goes on each other surface that the shop has a product for. */
export function SurfaceFields({ coats, catalogue, onChange }: Props) {
  return (
    <div className="grid gap-2 sm:grid-cols-3">
      {OTHER_SURFACES.map((surface) => {
        const made = onOffer(coats, catalogue).filter(({ surfaces }) => surfaces.includes(surface))
        return made.length === 0 ? null : (
          <Field key={surface} label={surfaceName(surface)}>
            <select
              className="field"
              value={coats.surfaces.find((coat) => coat.surface === surface)?.productId ?? ''}
              onChange={(event) => {
                const others = coats.surfaces.filter((coat) => coat.surface !== surface)
                const productId = toProductId(event.target.value)
                onChange({ surfaces: productId ? [...others, { surface, productId }] : others })
              }}
            >
              <option value="">nothing</option>
              {made.map((product) => (
                <option key={product.id} value={product.id}>
                  {suitedName(product)}
                </option>
              ))}
            </select>
          </Field>
        )
      })}
    </div>
  )
}
