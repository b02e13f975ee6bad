import { answerVerb, CATALOGUE, listVerbs, verbJsonSchema } from '@ellop/core'

/** What the command line does, apart from the process it runs in: text in, text and an exit code out. */
export interface Outcome {
  readonly exit: 0 | 2
  readonly out: string
  readonly err: string
}

/** One run of `npm run -s core -- VERB [--schema | --lines]`, by the contract of the command line. */
export function run(args: readonly string[], readInput: () => string): Outcome {
  const [verb, ...flags] = args
  if (verb === undefined)
    return said(
      listVerbs()
        .map(({ verb: name, tells }) => `${name.padEnd(15)} ${tells}`)
        .join('\n'),
    )
  const unknown = flags.find((flag) => flag !== '--schema' && flag !== '--lines')
  if (unknown !== undefined) return refused(`${unknown}: is not an option; there are --schema and --lines`)
  const schema = verbJsonSchema(verb)
  if (schema === undefined)
    return refused(
      `${verb}: is not a verb; there are ${listVerbs()
        .map((each) => each.verb)
        .join(', ')}`,
    )
  if (flags.includes('--schema')) return said(JSON.stringify(schema, null, 2))
  if (flags.includes('--lines'))
    return said(
      readInput()
        .split('\n')
        .filter((line) => line.trim() !== '')
        .map((line) => answerLine(verb, line))
        .join('\n'),
    )
  const input = readInput()
  // The catalogue may be asked for whole without a document.
  const answer = answerText(verb, verb === 'catalogue' && input.trim() === '' ? '{}' : input)
  return answer.ok ? said(JSON.stringify(answer.value)) : refused(`${answer.path}: ${answer.message}`)
}

function answerLine(verb: string, line: string): string {
  const answer = answerText(verb, line)
  return JSON.stringify(answer.ok ? answer.value : { error: { path: answer.path, message: answer.message } })
}

function answerText(verb: string, text: string) {
  try {
    return (
      answerVerb(verb, JSON.parse(text) as unknown, CATALOGUE, () => performance.now()) ?? {
        ok: false as const,
        path: '(verb)',
        message: `${verb} is not a verb`,
      }
    )
  } catch (fault) {
    if (!(fault instanceof SyntaxError)) throw fault
    return { ok: false as const, path: '(document)', message: 'is not JSON; give one whole document' }
  }
}

function said(out: string): Outcome {
  return { exit: 0, out: out === '' ? '' : `${out}\n`, err: '' }
}

function refused(line: string): Outcome {
  return { exit: 2, out: '', err: `${line.replaceAll('\n', ' ')}\n` }
}
