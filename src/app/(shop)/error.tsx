'use client'

import { Button } from '@/ui/button'

export default function ErrorPage({
  error,
  reset,
}: {
  error: Error & { digest?: string }
  reset: () => void
}) {
  return (
    <div className="mx-auto max-w-xl p-16 text-center">
      <h1 className="text-3xl">Something went wrong</h1>
      <p className="my-4">
        Nothing you saved is lost. Try again; if it happens again, tell whoever looks after this app
        {error.digest ? ` and give the number ${error.digest}` : ''}.
      </p>
      <Button onClick={reset}>Try again</Button>
    </div>
  )
}
