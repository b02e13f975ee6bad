import { FAMILY_FLAGS, type FamilyFlag } from '../flora/families'
import type { Taxon } from '../flora/taxon'
import { CHARACTERS } from '../flora/vocabulary'
import type { LotState } from '../lot/lotState'
import type { Observation } from './clear'
import { lotObservation, type Moment } from './lotTells'

/** How far the marks have come that a family is held to. */
export interface FamilyMarks extends FamilyFlag {
  /** Independent marks seen on this lot that fit. */
  readonly seen: number
  /** What could still be looked at in this season without harm to the plant, easiest first; nothing once enough is seen. */
  readonly open: readonly string[]
}

/** Nothing that is liked by nose or tongue counts, nor where it grows. */
const NOT_A_MARK = ['crushedScent', 'taste', 'habitatSeen']

/**
 * The marks seen of a plant whose family is mostly poisonous, whatever its own tells say; undefined for other families.
 * Characters of one group are one mark, as when a plant is ruled out. What speaks against the plant counts for nothing here.
 */
export function familyMarks(lot: LotState, taxon: Taxon, context: Moment): FamilyMarks | undefined {
  return FAMILY_FLAGS[taxon.family] === undefined ? undefined : marksAmong(taxon, lotObservation(lot, taxon, context))
}

/** As {@link familyMarks}, of what was seen of a plant anywhere. */
export function marksAmong(
  taxon: Taxon,
  { observed, notVisible = [], season }: Pick<Observation, 'observed' | 'notVisible' | 'season'>,
): FamilyMarks | undefined {
  const flag = FAMILY_FLAGS[taxon.family]
  if (flag === undefined) return undefined
  const shown = (character: string) => taxon.characters[character] ?? []
  const marks = Object.keys(taxon.characters).filter((character) => !NOT_A_MARK.includes(character))
  const fits = marks.filter((character) => {
    const states = observed[character] ?? []
    return states.length > 0 && states.every((state) => shown(character).includes(state))
  })
  const groups = new Set(fits.map(groupOf))
  const open = marks.filter(
    (character) =>
      observed[character] === undefined &&
      !notVisible.includes(character) &&
      !groups.has(groupOf(character)) &&
      ['look', 'handle'].includes(CHARACTERS[character]?.cost ?? '') &&
      (season === undefined || (taxon.visible[character]?.includes(season) ?? true)),
  )
  const told = groups.size >= flag.marks
  return { ...flag, seen: groups.size, open: told ? [] : open.toSorted((a, b) => ease(a) - ease(b)) }
}

/** Whether what its family is held to is seen; of other families always. */
export function familyTold(marks: FamilyMarks | undefined): boolean {
  return marks === undefined || marks.seen >= marks.marks
}

/** What the family is held to, and how far it has come, in a sentence. */
export function familyText({ name, says, marks, seen }: FamilyMarks): string {
  return `The ${name} ${says}. Check ${marks} marks besides smell and taste; ${seen} checked so far.`
}

function groupOf(character: string): string {
  return CHARACTERS[character]?.group ?? character
}

const ease = (character: string) => (CHARACTERS[character]?.cost === 'look' ? 0 : 1)
