import { ButtonLink } from '@/ui/button'

export default function NotFound() {
  return (
    <div className="mx-auto max-w-xl p-16 text-center">
      <h1 className="text-3xl">Page not found</h1>
      <p className="my-4">This job or page does not exist. Check the address.</p>
      <ButtonLink href="/">Back to the yard</ButtonLink>
    </div>
  )
}
