import type { RefObject } from 'react'

/** The hidden half of a button that asks for a file; the same file may be chosen again. */
export function FileInput({
  input,
  label,
  accept,
  onFile,
}: {
  input: RefObject<HTMLInputElement | null>
  label: string
  accept: string
  onFile: (file: File | undefined) => void
}) {
  return (
    <input
      ref={input}
      type="file"
      accept={accept}
      hidden
      aria-label={label}
      onChange={(event) => {
        onFile(event.target.files?.[0])
        event.target.value = ''
      }}
    />
  )
}
