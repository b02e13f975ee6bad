/** Gives the cook a file to keep. */
export function saveFile(content: string, type: string, name: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  // A browser may come to read it after the click has returned.
  setTimeout(() => URL.revokeObjectURL(url), 60_000)
}
