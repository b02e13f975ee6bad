/** A name as it is looked up: without case, accents and marks, in the singular. @example foldName('Pine-Nuts ') // 'pine nut' */
export function foldName(name: string): string {
  const bare = name
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z ]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
  return bare
    .split(' ')
    .map((word) =>
      /(oes)$/.test(word)
        ? word.slice(0, -2)
        : /ies$/.test(word)
          ? `${word.slice(0, -3)}y`
          : /[^su]s$/.test(word)
            ? word.slice(0, -1)
            : word,
    )
    .join(' ')
}
