import { notFound } from 'next/navigation'

/** An address nobody knows, answered within the shop's frame. */
export default function MissingPage() {
  notFound()
}
