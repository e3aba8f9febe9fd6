import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { dayOfDate } from '../src/core/base/measures';
import {
  classifyCommand,
  makeCommand,
  CommandError,
  demoCommand,
  planCommand,
  stateCommand,
  todayCommand,
  type Clock,
  type CommandOptions,
} from './commands';

const USAGE = `velvet: the core of Velvet Rhythm from a terminal

  velvet classify [--school any-protein|broken-down|my-hair] < recipe.txt
  velvet make [--grams N] [--no-scale] < recipe.txt
  velvet state --data backup.json [--on YYYY-MM-DD] [--head ID]
  velvet today --data backup.json [--on YYYY-MM-DD] [--head ID]    what to do on that day
  velvet plan  --data backup.json [--from YYYY-MM-DD] [--weeks 1…12] [--head ID] [--ics]
  velvet demo  [--on YYYY-MM-DD]     the demo data as a backup file
  velvet label --image FILE          the names on a photo of an ingredient list
  velvet page --image FILE           the text of a recipe on a printed page
  velvet hairs --image FILE          hairs on a sheet beside a bank card: counted and measured

Prints JSON; with --ics a calendar file. Exit code 0; or 2, with one line on stderr, for input that cannot be used.`;

const COMMANDS: Record<string, (options: CommandOptions, clock: Clock) => unknown> = {
  classify: classifyCommand,
  make: makeCommand,
  state: stateCommand,
  today: todayCommand,
  plan: planCommand,
  demo: demoCommand,
  // Image library and reader of letters are large: only who has a picture loads them.
  label: async (options) => (await import('./pictures')).labelCommand(options),
  page: async (options) => (await import('./pictures')).pageCommand(options),
  hairs: async (options) => (await import('./pictures')).hairsCommand(options),
};

const CLOCK: Clock = {
  today: () => dayOfDate(new Date()),
  input: () => readFileSync(0, 'utf8'),
};

function optionsOf(args: string[]): CommandOptions {
  const text = { type: 'string' } as const;
  try {
    return parseArgs({
      args,
      options: {
        school: text,
        data: text,
        head: text,
        on: text,
        from: text,
        weeks: text,
        ics: { type: 'boolean' },
        grams: text,
        'no-scale': { type: 'boolean' },
        image: text,
      },
    }).values;
  } catch (error) {
    throw new CommandError((error as Error).message.split('. ')[0]);
  }
}

async function main([command, ...rest]: string[]): Promise<number> {
  if (command === undefined || command === 'help' || command === '--help') {
    console.log(USAGE);
    return 0;
  }
  try {
    const run = COMMANDS[command];
    if (!run) throw new CommandError(`there is no command "${command}"; see: velvet help`);
    const answer = await run(optionsOf(rest), CLOCK);
    process.stdout.write(typeof answer === 'string' ? answer : `${JSON.stringify(answer, null, 2)}\n`);
    return 0;
  } catch (error) {
    if (!(error instanceof CommandError)) throw error;
    console.error(`velvet: ${error.message}`);
    return 2;
  }
}

void main(process.argv.slice(2)).then((code) => {
  process.exitCode = code;
});
