import { spawn } from 'node:child_process';

const TICK_MS = 15_000;

/** Nothing asks the network on its own. */
export const OFFLINE_ENV = { CI: '1', EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', EXPO_NO_DOTENV: '1' };

export function say(text) {
  console.log(`\n== ${text}`);
}

export const bin = (name) => `node_modules/.bin/${name}`;

/** The compiler of 7, which takes a tenth of the time; lint and bundler still want the 6 beside it. */
export const TYPES = ['node_modules/typescript-7/bin/tsc', '--noEmit'];

/** This node, with these arguments: what {@link run} takes. */
export const node = (args) => [process.execPath, args];

/**
 * Runs a command with its output shown, and says every quarter of a minute that it is still at it.
 * @returns {Promise<number>} its exit code
 */
export function run(command, args, { env = {}, quiet = false } = {}) {
  return new Promise((resolve, reject) => {
    const started = Date.now();
    const child = spawn(command, args, {
      stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    });
    const ticker = setInterval(() => {
      console.log(
        `   … ${Math.round((Date.now() - started) / 1000)} s: ${command} ${args.slice(0, 3).join(' ')}`,
      );
    }, TICK_MS);
    child.on('error', (error) => {
      clearInterval(ticker);
      reject(error);
    });
    child.on('close', (code) => {
      clearInterval(ticker);
      resolve(code ?? 1);
    });
  });
}

/** As {@link run}, but a failure ends the program: for steps without which the rest makes no sense. */
export async function runOrStop(what, command, args, options) {
  const code = await run(command, args, options);
  if (code !== 0) {
    console.error(`\n${what} failed (exit code ${code}).`);
    process.exit(1);
  }
}
