import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { foldLog, inOrder } from '../log/fold'
import { cook, household, Pen } from '../test/pen'
import { BOOK_VERSION, otherBook, writeBook } from './bookFile'
import { bookJsonSchema, readBook, readBookFile } from './readBookFile'
import { writeEntriesCsv } from './csv'
import { readEntry } from './entrySchema'
import { readTaxon } from './taxonSchema'
import { UPGRADES, upgradeEntry } from './upgrades'
import { answerVerb, listVerbs, verbJsonSchema } from './verbs'

const pen = cook(household(new Pen()))
const file = () => writeBook({ book: 'test', log: pen.log, exportedAt: pen.now, catalogueRevision: CATALOGUE.revision })
const none = foldLog([])
const readOther = (content: string, own: { books: readonly string[] }) => {
  const read = readBookFile(content)
  return read.ok ? otherBook(read, own) : read
}
const read = (content: string, into = none) => readBook(content, { book: 'test', log: into })
const changed = (change: (document: Record<string, unknown> & { entries: Record<string, unknown>[] }) => void) => {
  const document = JSON.parse(file()) as Record<string, unknown> & { entries: Record<string, unknown>[] }
  change(document)
  return JSON.stringify(document)
}
const message = (content: string, into = none) => {
  const reading = read(content, into)
  return reading.ok ? 'read' : reading.message
}

describe('the catalogue', () => {
  it('holds only records of the one schema', () => {
    for (const taxon of CATALOGUE.taxa)
      expect(readTaxon(JSON.parse(JSON.stringify(taxon))), taxon.scientificName).toMatchObject({ ok: true })
    expect(new Set(CATALOGUE.taxa.map(({ scientificName }) => scientificName)).size).toBe(CATALOGUE.taxa.length)
  })
  it('says of two plants on record that they cross in both records', () => {
    for (const { scientificName, crossesWith = [] } of CATALOGUE.taxa)
      for (const other of crossesWith) {
        expect(other).not.toBe(scientificName)
        const record = CATALOGUE.taxa.find((each) => each.scientificName === other)
        if (record !== undefined) expect(record.crossesWith, other).toContain(scientificName)
      }
  })
  it('describes every look-alike it names, and names no milder a danger than that record does', () => {
    for (const { scientificName, lookalikes, keyCharacters, characters } of CATALOGUE.taxa) {
      for (const double of lookalikes) {
        const record = CATALOGUE.taxa.find((each) => each.scientificName === double.scientificName)
        // A harmless double may stand in words alone; one that hurts has a record, so that it must be ruled out.
        if (double.severity === 'deadly' || double.severity === 'toxic')
          expect(record, `${scientificName} names ${double.scientificName}`).toBeDefined()
        if (record?.role === 'danger')
          expect(double.severity, `${scientificName} names ${double.scientificName}`).toBe(record.severity)
      }
      for (const key of keyCharacters) expect(Object.keys(characters), `${scientificName}: ${key}`).toContain(key)
    }
  })
  it('answers every hazard: a control answer is controlled by a step of each accepted cooked school', () => {
    for (const { scientificName, uses } of CATALOGUE.taxa)
      for (const { hazards, protocols, part, stage } of uses)
        for (const { id, answers, onlyFor } of hazards.filter(({ answers: each }) =>
          each.every(({ kind }) => kind === 'control'),
        ))
          for (const { name, steps, standing, goals, storeOnly } of protocols)
            if (
              standing !== 'contested' &&
              storeOnly !== true &&
              answers.length > 0 &&
              (onlyFor === undefined || goals.every((goal) => onlyFor.includes(goal)))
            )
              expect(
                steps.flatMap(({ control }) => control),
                `${scientificName} ${part} ${stage}: ${id} in ${name}`,
              ).toContain(id)
  })
  it('refuses a record with a critical step that states no limit', () => {
    const nettle = JSON.parse(
      JSON.stringify(CATALOGUE.taxa.find(({ scientificName }) => scientificName === 'Urtica dioica')),
    ) as { uses: { protocols: { steps: { limit?: unknown }[] }[] }[] }
    delete nettle.uses[1]?.protocols[0]?.steps[2]?.limit
    expect(readTaxon(nettle)).toMatchObject({ ok: false, path: 'uses.1.protocols.0.steps.2' })
  })
})

describe('the book as a file', () => {
  it('comes back whole: export, clear, import give the same computed state', () => {
    const reading = read(file())
    expect(reading).toMatchObject({ ok: true, known: 0 })
    if (reading.ok) expect(foldLog(reading.fresh).state).toEqual(pen.log.state)
  })
  it('is taken once: importing again adds nothing', () =>
    expect(read(file(), pen.log)).toMatchObject({ ok: true, fresh: [], known: pen.log.entries.size }))
  it.each([
    [
      'cut off',
      () => file().slice(0, -400),
      'The file is not whole JSON: it may be cut off. Save it again where it came from. Nothing was added.',
    ],
    [
      'cut but closed',
      () => changed(({ entries }) => entries.splice(5)),
      /^The file says \d+ entries and holds 5: it is cut off\. Nothing was added\.$/,
    ],
    [
      'another format',
      () => changed((document) => (document['format'] = 'recipe-box')),
      'This is not a book of Ellop. Nothing was added.',
    ],
    [
      'a newer version',
      () => changed((document) => (document['version'] = BOOK_VERSION + 1)),
      `The file is of version ${BOOK_VERSION + 1} and this program reads up to ${BOOK_VERSION}. Bring the program up to date first. Nothing was added.`,
    ],
    [
      'another book',
      () =>
        changed((document) => {
          document['book'] = 'own'
          for (const entry of document.entries) entry['book'] = 'own'
        }),
      'The file is the book “own”; the one open here is “test”. Books are not mixed: open it beside yours. Nothing was added.',
    ],
    [
      'an entry of another book',
      () => changed(({ entries }) => Object.assign(entries[3] ?? {}, { book: 'own' })),
      'Entry 4 belongs to the book “own”. Nothing was added.',
    ],
    [
      'a negative mass',
      () =>
        changed(({ entries }) =>
          Object.assign(entries.find(({ type }) => type === 'weighed-in') ?? {}, { mass_g: -1 }),
        ),
      /^Entry \d+: mass_g must be greater than 0\. Nothing was added\.$/,
    ],
    [
      'a pot of 300 °C',
      () =>
        changed(({ entries }) =>
          Object.assign(entries.find(({ type }) => type === 'step-done') ?? {}, { temp_C: 300 }),
        ),
      /temp_C must be at most 130 °C: nothing in a pot is hotter\./,
    ],
    [
      'an unknown field',
      () => changed((document) => (document['extra'] = 1)),
      'This is not a book of Ellop as it should be: extra is not a field of this document; leave it out. Nothing was added.',
    ],
    [
      'a hostile key',
      () => file().replace('"entries"', '"__proto__": {"polluted": 1}, "entries"'),
      'The file holds a field name that no book has. Nothing was added.',
    ],
    ['something else', () => '[]', /^This is not a book of Ellop/],
  ] as [string, () => string, string | RegExp][])('is refused whole when it is %s', (_what, content, expected) =>
    expect(message(content())).toMatch(expected),
  )
  it('is refused when it tells a known entry differently', () => {
    const other = changed(({ entries }) => Object.assign(entries[0] ?? {}, { by: 'somebody' }))
    expect(message(other, pen.log)).toBe('Entry 1 is known here and says something else. Nothing was added.')
  })
  it('survives any cutting and any garbling of a character without taking a part of it', () => {
    const whole = file()
    fc.assert(
      fc.property(
        fc.nat(whole.length - 2),
        fc.string({ minLength: 1, maxLength: 3 }),
        fc.boolean(),
        (at, junk, cut) => {
          const reading = read(cut ? whole.slice(0, at) : whole.slice(0, at) + junk + whole.slice(at + junk.length))
          if (reading.ok) expect(reading.fresh).toHaveLength(pen.log.entries.size)
          else expect(reading.message).toMatch(/Nothing was added\.$/)
        },
      ),
      { numRuns: 500 },
    )
  })
  it('changes nothing and does not hang for 500 hostile files', () => {
    const whole = JSON.parse(file()) as { entries: Record<string, unknown>[]; version: number }
    const evil: fc.Arbitrary<unknown> = fc.oneof(
      fc.constantFrom(null, true, -1, 1e308, '', '<img src=x onerror=alert(1)>', '=cmd()', '\u0000', [], {}),
      fc.string({ maxLength: 40 }),
      fc.integer({ min: 20_000, max: 400_000 }).map((length) => 'x'.repeat(length)),
      fc
        .integer({ min: 100, max: 3000 })
        .map((depth) => JSON.parse(`${'['.repeat(depth)}${']'.repeat(depth)}`) as unknown),
      fc
        .constantFrom('__proto__', 'constructor', 'prototype')
        .map((key) => JSON.parse(`{"${key}":{"polluted":1}}`) as unknown),
    )
    const hostile = fc
      .record({
        entry: fc.nat(whole.entries.length - 1),
        field: fc.constantFrom('id', 'at', 'type', 'lot', 'mass_g', 'states', 'facts', 'kitchen', 'extra'),
        value: evil,
        where: fc.constantFrom('entry', 'header', 'whole', 'version', 'nested' as const),
        cut: fc.nat(3),
      })
      .map(({ entry, field, value, where, cut }) => {
        const changed = { ...whole, entries: whole.entries.map((each) => ({ ...each })) } as Record<string, unknown>
        if (where === 'entry') Object.assign((changed['entries'] as object[])[entry] ?? {}, { [field]: value })
        if (where === 'header') changed[field] = value
        if (where === 'version') changed['version'] = value
        const text = where === 'whole' ? JSON.stringify(value) : JSON.stringify(changed)
        if (where === 'nested') return `${'{"a":'.repeat(40_000)}1${'}'.repeat(40_000)}`
        return cut === 0 ? (text ?? '').slice(0, -7) : (text ?? '')
      })
    const before = JSON.stringify([...pen.log.state.lots])
    let taken = 0
    fc.assert(
      fc.property(hostile, (content) => {
        for (const reading of [readBook(content, { book: 'test', log: none }), readOther(content, { books: ['mine'] })])
          if (reading.ok) taken += Number(reading.fresh.length !== pen.log.entries.size)
          else expect(reading.message).toMatch(/Nothing was added\.$/)
      }),
      { numRuns: 500 },
    )
    expect(taken).toBe(0)
    expect(JSON.stringify([...pen.log.state.lots])).toBe(before)
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined()
  })
  it('opens somebody else’s beside one’s own, and never one’s own as somebody else’s', () => {
    expect(readOther(file(), { books: ['mine'] })).toMatchObject({ ok: true, book: 'test', known: 0 })
    expect(readOther(file(), { books: ['test'] })).toMatchObject({ ok: false })
  })
  it('brings entries of every earlier version up to date, by each upgrade there is', () => {
    expect(UPGRADES.map(({ version }) => version)).toEqual(UPGRADES.map((_, index) => index + 2))
    const old = changed((document) => {
      document['version'] = 1
      for (const entry of document.entries) {
        delete entry['astringent']
        delete entry['crumb']
      }
    })
    const exercised = UPGRADES.filter(({ entry }) =>
      (JSON.parse(old) as { entries: Record<string, unknown>[] }).entries.some(
        (each) => JSON.stringify(entry(each)) !== JSON.stringify(each),
      ),
    )
    expect(exercised).toEqual(UPGRADES)
    const reading = read(old)
    expect(reading).toMatchObject({ ok: true })
    if (reading.ok) expect(foldLog(reading.fresh).state).toEqual(pen.log.state)
    expect(upgradeEntry('not an entry', 1)).toBe('not an entry')
  })
  it('goes out as CSV that no spreadsheet takes for formulas', () => {
    pen.force({ type: 'felt-ill', eater: 'ann', symptoms: '=HYPERLINK("x"), "cramps"' })
    const lines = writeEntriesCsv(pen.log, CATALOGUE).trimEnd().split('\r\n')
    expect(lines).toHaveLength(pen.log.entries.size + 1)
    expect(lines[0]).toBe('"id","at","noted","by","device","type","lot","struck","says","fields"')
    expect(lines.every((line) => !/(^|,)"[=+@-]/.test(line))).toBe(true)
    expect(lines.at(-1)).toContain('Ann feels ill: =HYPERLINK(""x""), ""cramps"".')
  })
  it('has a published schema that names every entry type', () => {
    const text = JSON.stringify(bookJsonSchema())
    for (const entry of inOrder(pen.log)) expect(text).toContain(`"${entry.type}"`)
  })
  it('takes a single fact of the ground, and a patch named alone', () => {
    const base = {
      id: 'x',
      at: pen.now,
      noted: pen.now,
      book: 'test',
      by: 'cook',
      device: 'd',
      type: 'ground-noted',
      patch: 'p',
    }
    expect(readEntry({ ...base, facts: { manured: 'no' } })).toMatchObject({ ok: true })
    expect(readEntry({ ...base, name: 'Wall', facts: {} })).toMatchObject({ ok: true })
    expect(readEntry({ ...base, facts: { permission: { from: 'us' } } })).toMatchObject({
      ok: false,
      path: 'facts.permission.until',
    })
    expect(readEntry(base)).toMatchObject({ ok: false, path: 'facts', message: 'is missing; give it' })
  })
  it('refuses an entry of no known type', () =>
    expect(readEntry({ type: 'toString' })).toMatchObject({ ok: false, path: 'type' }))
})

describe('a verb', () => {
  const refusal = (verb: string, input: unknown) => {
    const answer = answerVerb(verb, input, CATALOGUE)
    return answer === undefined || answer.ok ? 'answered' : `${answer.path}: ${answer.message}`
  }
  it.each([
    ['boil', {}, '(document): elevation_m or pressure_hPa is missing; give one'],
    [
      'boil',
      { elevation_m: 1, pressure_hPa: 900 },
      '(document): elevation_m and pressure_hPa cannot both be given; leave one out',
    ],
    ['boil', { elevation_m: '1180' }, 'elevation_m: must be a number'],
    ['boil', { elevation_m: 1180, spoon: 1 }, 'spoon: is not a field of this document; leave it out'],
    ['boil', [], '(document): must be of type object'],
    ['chill', { food_g: 500 }, 'foodTemp_C: is missing; give it'],
    [
      'chill',
      { food_g: -1, foodTemp_C: 98, water_mL: 1, waterTemp_C: 14, target_C: 5 },
      'food_g: must be greater than or equal to 0',
    ],
    [
      'blanch-load',
      { power_W: 0, efficiency: 0.5, elevation_m: 0, water_mL: 1, foodTemp_C: 1, recovery_s: 1 },
      'power_W: must be greater than 0',
    ],
    [
      'dry-target',
      { start_g: 1, startMoisture: 0.1, targetMoisture: 0.5 },
      'targetMoisture: must be at most startMoisture',
    ],
    ['clear', { taxon: 'Planta ignota', observed: {} }, 'taxon: Planta ignota is not in the catalogue'],
    [
      'clear',
      { taxon: 'Urtica dioica', observed: { aura: 'green' } },
      /^observed\.aura: is not a character of the vocabulary; there are .*leafArrangement/,
    ],
    [
      'clear',
      { taxon: 'Urtica dioica', observed: { stemSection: 'opposite' } },
      /^observed\.stemSection: has no such state; it may be .*square/,
    ],
    [
      'clear',
      { taxon: 'Urtica dioica', observed: { sap: 'clear' }, notVisible: ['sap'] },
      'notVisible.0: sap is in observed as well; leave it out of one of them',
    ],
    ['plan', { taxon: 'Urtica dioica', mass_g: 500, goal: 'guess' }, /^goal: must be one of eat-raw, eat/],
    [
      'plan',
      { taxon: 'Urtica dioica', mass_g: 500, goal: 'eat', kitchen: { pots_mL: [0] } },
      'kitchen.pots_mL.0: must be greater than 0',
    ],
    ['plan', { taxon: 'Urtica dioica', mass_g: Infinity, goal: 'eat' }, 'mass_g: must be a finite number'],
  ] as [string, unknown, string | RegExp][])('%s refuses %j, naming the field', (verb, input, expected) =>
    expect(refusal(verb, input)).toMatch(expected),
  )
  it('answers clear in the contract’s shape, states alone or several', () => {
    const answer = answerVerb(
      'clear',
      {
        taxon: 'Urtica dioica',
        observed: { leafArrangement: 'alternate', stemSection: ['square'] },
        notVisible: ['flowerColour'],
        date: '2027-05-16',
        encounters: 3,
        certain: true,
      },
      CATALOGUE,
    )
    expect(answer).toMatchObject({
      ok: true,
      value: {
        gate: 'closed',
        contradictions: [{ character: 'leafArrangement', observed: 'alternate', expected: ['opposite'] }],
        missing: ['leafMargin', 'leafSurface'],
      },
    })
  })
  it('has a JSON Schema, and there is none for what is not a verb', () => {
    for (const { verb, tells } of listVerbs())
      expect([tells.length > 10, JSON.stringify(verbJsonSchema(verb)).includes('"properties"')]).toEqual([true, true])
    expect(verbJsonSchema('toString')).toBeUndefined()
    expect(answerVerb('toString', {}, CATALOGUE)).toBeUndefined()
    expect(answerVerb('catalogue', { query: 'brennnessel groß' }, CATALOGUE)).toMatchObject({
      value: [{ scientificName: 'Urtica dioica' }],
    })
  })
})
