/** Why something was not done, where it belongs to no field. */
export function Refused({ refusal }: { refusal: { message: string } | undefined }) {
  if (!refusal) return null
  return (
    <p role="alert" className="text-copper">
      {refusal.message}
    </p>
  )
}
