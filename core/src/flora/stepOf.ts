import type { Step, Use } from './taxon'

/** The step of a way by its place in it; undefined where the record knows no such way or step, or nothing of the part. */
export function stepOf(
  use: Pick<Use, 'protocols'> | undefined,
  { protocol, step }: { readonly protocol: string; readonly step: number },
): Step | undefined {
  return use?.protocols.find(({ name }) => name === protocol)?.steps[step]
}
