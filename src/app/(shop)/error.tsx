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
      <h1 className="text-3xl">This did not work</h1>
      <p className="my-4">
        Nothing that was kept is lost. Try again; if it happens again, tell whoever looks after the program
        {error.digest ? ` and give the number ${error.digest}` : ''}.
      </p>
      <Button onClick={reset}>Try again</Button>
    </div>
  )
}
