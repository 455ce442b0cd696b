import { type CoatingRule, type CoatingRuleId, coatingBreaches, type Product } from '../coating'
import { type Method, methodIn } from '../correction'
import type { PackageTemplate } from './package'
import type { Vendor } from './vendor'

/** What is wrong with a package as it is written down, on any car. The path names the field. */
export type PackageFault = { path: string } & (
  | { code: 'unknown-product' | 'unknown-vendor' | 'unknown-method'; id: string }
  | { code: 'rule'; rule: CoatingRuleId }
)

type Shelf = { catalogue: readonly Product[]; vendors: readonly Vendor[]; methods: readonly Method[] }

/** A middle-sized car; the rules looked at here do not depend on the area. */
const ANY_AREA_M2 = 9

function missing(template: PackageTemplate, { catalogue, vendors, methods }: Shelf): PackageFault[] {
  const has = (id: string) => catalogue.some((product) => product.id === id)
  return [
    ...(methods.some(({ key, retired }) => key === template.strongest && !retired)
      ? []
      : [{ path: 'strongest', code: 'unknown-method', id: template.strongest } as const]),
    ...template.layers
      .filter((id) => !has(id))
      .map((id): PackageFault => ({ path: 'layers', code: 'unknown-product', id })),
    ...template.surfaces
      .filter(({ productId }) => !has(productId))
      .map(
        ({ productId, surface }): PackageFault => ({
          path: `surfaces.${surface}`,
          code: 'unknown-product',
          id: productId,
        }),
      ),
    ...template.vendors
      .filter((id) => !vendors.some((vendor) => vendor.id === id))
      .map((id): PackageFault => ({ path: 'vendors', code: 'unknown-vendor', id })),
  ]
}

/** Rules of coating that a package breaks whatever the car: order of layers, surfaces, film after coating, all-in-one. */
export function packageBreaches(
  template: PackageTemplate,
  { catalogue, vendors, methods }: Shelf,
): CoatingRule[] {
  const product = (id: string) => catalogue.filter((each) => each.id === id)
  const film = vendors.find(({ id, trade }) => trade === 'film' && template.vendors.includes(id))
  return coatingBreaches({
    paintSystem: 'clear-over-base',
    layers: template.layers.flatMap(product),
    surfaces: template.surfaces.flatMap(({ surface, productId }) =>
      product(productId).map((found) => ({ surface, product: found })),
    ),
    residue: methodIn(methods, template.strongest)?.leavesProtection ? 'all-in-one' : 'none',
    treatments: [],
    ...(film ? { film: film.stage === 'after-coating' ? 'after-coating' : 'before-coating' } : {}),
    areaM2: ANY_AREA_M2,
  })
}

/** Everything that keeps a package from being sold. */
export function packageFaults(template: PackageTemplate, shelf: Shelf): PackageFault[] {
  return [
    ...missing(template, shelf),
    ...packageBreaches(template, shelf)
      .filter(({ weight }) => weight === 'stop')
      .map(({ id }): PackageFault => ({ path: 'layers', code: 'rule', rule: id })),
  ]
}
