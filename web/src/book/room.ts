/** How much room the browser gives, and whether it has promised to keep what is stored. */
export interface Room {
  readonly used_B: number
  readonly given_B: number
  readonly kept: boolean
}

/** Asks the browser how much room there is; undefined where it does not tell. */
export async function roomThereIs(): Promise<Room | undefined> {
  if (!('storage' in navigator) || navigator.storage.estimate === undefined) return undefined
  const [{ usage = 0, quota = 0 }, kept] = await Promise.all([
    navigator.storage.estimate(),
    navigator.storage.persisted?.() ?? Promise.resolve(false),
  ])
  return { used_B: usage, given_B: quota, kept }
}

/** Asks the browser not to clear the book away when it runs short of room. */
export async function askToKeep(): Promise<boolean> {
  return (await navigator.storage?.persist?.()) ?? false
}
