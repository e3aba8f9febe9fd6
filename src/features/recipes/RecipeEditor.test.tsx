import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { speak } from '@/core/base/language';
import { speechOf } from '@/core/base/translation';
import { judgedText, type JudgedText } from '@/core/kitchen/formulation';
import { CATALOGUE_LARDER } from '@/core/recipe/larder';
import { ofKind } from '@/core/records/shapes';
import { makeStore, prefsChanged, selectLiveRecords } from '@/store';
import { memoryStorage, over } from '@/store/testing/memoryStorage';
import { messages as portuguese } from '../../../data/languages/pt';
import { RecipeEditor } from './RecipeEditor';

/** Texts that a worker has been asked to read, and how each is answered. */
interface Asked {
  readonly text: string;
  readonly answer: (judged: JudgedText | null) => void;
  readonly fail: (error: Error) => void;
}
const mockAsked: Asked[] = [];
jest.mock('@/workers', () => ({
  askJudgement: ({ text }: { readonly text: string }) =>
    new Promise<JudgedText | null>((answer, fail) => {
      mockAsked.push({ text, answer, fail });
    }),
}));
jest.mock('expo-router', () => ({ router: { navigate: jest.fn(), push: jest.fn(), replace: jest.fn() } }));

// The browser's own; the test page has none, and nothing here is measured.
globalThis.ResizeObserver ??= class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};

const judge = (text: string) => judgedText(text, { larder: CATALOGUE_LARDER, cup: 'us', head: undefined });

/** The browser's ear; what it hears is put into its mouth here. */
const mockEar = { hear: (_: string): void => undefined, startListening: jest.fn(async () => undefined) };
jest.mock('react-speech-recognition', () => ({
  __esModule: true,
  default: {
    startListening: () => mockEar.startListening(),
    stopListening: async () => undefined,
    abortListening: async () => undefined,
  },
  useSpeechRecognition: ({
    commands,
  }: {
    readonly commands: readonly { callback: (text: string) => void }[];
  }) => {
    mockEar.hear = (text) => commands[0]?.callback(text);
    return { listening: false, browserSupportsSpeechRecognition: true };
  },
}));

/** Answers the oldest question that is open. */
const answers = async (index: number, judged?: JudgedText | null) =>
  act(async () => {
    const asked = mockAsked[index];
    asked?.answer(judged === undefined ? judge(asked.text) : judged);
    await Promise.resolve();
  });

const types = async (text: string) =>
  act(async () => {
    fireEvent.change(screen.getByTestId('recipe-text'), { target: { value: text } });
    await Promise.resolve();
  });

const newStore = () =>
  makeStore(over(memoryStorage()), {
    estimate: () => new Promise(() => undefined),
    firstPlan: () => new Promise(() => undefined),
    plan: () => new Promise(() => undefined),
    stopPlan: () => undefined,
  });

function opens(store = newStore()) {
  render(
    <Provider store={store}>
      <RecipeEditor />
    </Provider>,
  );
  return store;
}

beforeEach(() => {
  mockAsked.length = 0;
});
afterEach(() => {
  cleanup();
  speak(null);
});

/** Roles by the library take a second each on a screen of this size. */
const seen = (selector: string) => document.querySelector(selector)?.textContent ?? '';
const headline = () => seen('h1');
const lines = () => seen('[role="list"]');

describe('what is named and not counted', () => {
  it('is said, and goes into the text with one tap', async () => {
    opens();
    await answers(0);
    await types('2 eggs. My sister uses beer.');
    await answers(1);
    expect(seen('[data-testid="not-counted"]')).toContain('Named, not counted:');
    await act(async () => fireEvent.click(screen.getByText('Count beer')));
    await answers(2);
    expect(mockAsked.map(({ text }) => text).at(-1)).toBe('2 eggs. My sister uses beer.\nbeer');
    expect(document.querySelector('[data-testid="not-counted"]')).toBeNull();
  });
});

describe('a recipe that is typed', () => {
  it('asks for one text at a time, and of those that came meanwhile only for the last', async () => {
    opens();
    await answers(0);
    await types('2 tbsp honey');
    await types('2 tbsp honey\n1');
    await types('2 tbsp honey\n1 egg');
    expect(mockAsked.map(({ text }) => text)).toEqual(['', '2 tbsp honey']);
    await answers(1);
    expect(mockAsked.map(({ text }) => text)).toEqual(['', '2 tbsp honey', '2 tbsp honey\n1 egg']);
    expect(lines()).toContain('2 tbsp honey');
    expect(lines()).not.toContain('1 egg');
    await answers(2);
    expect(lines()).toContain('1 egg');
  });

  it('takes name and minutes from what is told, until she writes them herself', async () => {
    opens();
    await answers(0);
    await types('My Sunday papaya mask. Half a papaya, 2 tbsp honey, blend, 40 minutes under a cap.');
    await answers(1);
    const name = screen.getByTestId<HTMLInputElement>('recipe-name');
    const minutes = screen.getByLabelText<HTMLInputElement>('Minutes on the hair');
    expect([name.value, minutes.value]).toEqual(['My Sunday papaya mask', '40']);
    await act(async () => {
      fireEvent.change(name, { target: { value: 'Papaya' } });
      fireEvent.blur(name);
      await Promise.resolve();
    });
    await types('My Monday papaya mask. Half a papaya, 2 tbsp honey, blend, 30 minutes under a cap.');
    await answers(2);
    expect([name.value, minutes.value]).toEqual(['Papaya', '30']);
  });

  it('leaves a warmth that she chose, whatever is told after it', async () => {
    opens();
    await answers(0);
    await types('Half a papaya, 2 tbsp honey, 40 minutes under a cap.');
    await answers(1);
    const warmth = (name: string) => screen.getByRole('radio', { name });
    await act(async () => void fireEvent.click(warmth('warm, under a cap')));
    await types('Papaya mask. Half a papaya, 2 tbsp honey, 30 minutes under a cap.');
    await answers(2);
    expect(screen.getByTestId<HTMLInputElement>('recipe-name').value).toBe('Papaya mask');
    expect(warmth('warm, under a cap').getAttribute('aria-checked')).toBe('true');
  });

  it('shows what became of each stretch, and opens the line of one', async () => {
    opens();
    await answers(0);
    await types('Half a papaya and a cup of blorb. 2 tbsp honey.');
    await answers(1);
    expect(screen.getByTestId('told-text').textContent).toContain('1 thing is not understood.');
    const stretch = [...document.querySelectorAll('[data-testid="told-text"] [aria-expanded]')];
    expect(stretch.map((each) => each.getAttribute('aria-label'))).toEqual([
      'Half a papaya: ingredient',
      'a cup of blorb.: not understood',
      '2 tbsp honey: ingredient',
    ]);
    await act(async () => {
      fireEvent.click(stretch[0]!);
      await Promise.resolve();
    });
    expect(seen('[role="region"]')).toContain('papaya');
  });

  it('says no verdict where more than half is a guess', async () => {
    opens();
    await answers(0);
    await types('yogurt, honey, coconut milk');
    await answers(1);
    expect(headline()).toBe('Too much is guessed to say');
    await types('3 tbsp yogurt, 1 tbsp honey, 100 ml coconut milk');
    await answers(2);
    expect(headline()).not.toBe('Too much is guessed to say');
  });

  it('asks about an amount far beyond use before any verdict', async () => {
    opens();
    await answers(0);
    await types('1 cup hydrolysed keratin\n2 tbsp honey');
    await answers(1);
    expect(headline()).toBe('First: is that amount right?');
    expect(screen.queryByTestId('verdict')).toBeNull();
    await act(async () => void fireEvent.click(screen.getByTestId('dose-right')));
    expect(headline()).toMatch(/Protein/);
    expect(screen.queryByTestId('verdict')).not.toBeNull();
  });

  it('argues with what it is called, and remembers what she decided', async () => {
    const store = opens();
    await answers(0);
    await types('Protein mask: 1 avocado, 2 tbsp honey, 3 tbsp coconut milk.');
    await answers(1);
    expect(screen.getByTestId('claim-question').textContent).toMatch(/You call it protein\. Is it\?/);
    await act(async () => void fireEvent.click(screen.getByTestId('claim-mine')));
    expect(screen.queryByTestId('claim-question')).toBeNull();
    await act(async () => {
      fireEvent.click(screen.getByTestId('save-recipe'));
      await Promise.resolve();
    });
    const [saved] = ofKind(selectLiveRecords(store.getState()), 'recipe');
    expect(saved?.countedAs).toBe('protein');
  });

  it('saves each recipe of a paste as its own', async () => {
    const store = opens();
    await answers(0);
    await types(
      'Honey mask\n2 tbsp honey\n3 tbsp plain yogurt\n\nEvening oil\n2 tbsp olive oil\n1 tbsp castor oil',
    );
    await answers(1);
    expect(screen.getByTestId('several-recipes').textContent).toContain('2 recipes in this text');
    await act(async () => {
      fireEvent.click(screen.getByTestId('save-each'));
      await Promise.resolve();
    });
    const saved = ofKind(selectLiveRecords(store.getState()), 'recipe').map(({ name }) => name);
    expect(saved.sort()).toEqual(['Evening oil', 'Honey mask']);
  });

  it('sends the list of a label where labels are read, and gives no verdict on it', async () => {
    opens();
    await answers(0);
    await types(
      'Aqua, Cetearyl Alcohol, Behentrimonium Chloride, Glycerin, Hydrolyzed Wheat Protein, Phenoxyethanol, Parfum',
    );
    await answers(1);
    expect(screen.queryByTestId('label-offer')).not.toBeNull();
    expect(screen.queryByTestId('verdict')).toBeNull();
  });

  it('learns once how much her cup holds', async () => {
    const store = opens();
    await answers(0);
    await types('2 of my cups of yogurt');
    await answers(1);
    await act(
      async () => void fireEvent.click(screen.getByRole('button', { name: /Mine is a tea cup of 150 ml/ })),
    );
    expect(store.getState().prefs.myCup).toBe(150);
  });

  it('takes what is said aloud where that is switched on', async () => {
    const store = newStore();
    opens(store);
    expect(screen.queryByTestId('dictate')).toBeNull();
    await act(async () => void store.dispatch(prefsChanged({ dictation: true })));
    await act(async () => void fireEvent.click(screen.getByTestId('dictate')));
    expect(mockEar.startListening).toHaveBeenCalledTimes(1);
    await act(async () => mockEar.hear('two spoons of honey'));
    expect(screen.getByTestId<HTMLTextAreaElement>('recipe-text').value).toBe('two spoons of honey');
  });

  it('shows the verdict before while the next is read, and nothing of what was asked before it was closed', async () => {
    opens();
    await answers(0);
    await types('1 tbsp hydrolysed silk\n150 ml water');
    await answers(1);
    const before = headline();
    expect(before).toMatch(/protein/i);
    await types('3 tbsp honey\n100 ml water');
    expect(headline()).toBe(before);
    cleanup();
    await answers(2);
    expect(lines()).toBe('');
  });

  it.each([
    ['gives no answer', async () => answers(1, null)],
    [
      'breaks',
      async () =>
        act(async () => {
          mockAsked[1]?.fail(new Error('broken'));
          await Promise.resolve();
        }),
    ],
  ])('is read on the page where the worker %s', async (_, end) => {
    opens();
    await answers(0);
    await types('2 tbsp honey');
    await end();
    expect(lines()).toContain('2 tbsp honey');
  });

  it('is there again when the form is opened anew, until it is put away', async () => {
    const store = opens();
    await types('2 tbsp honey');
    cleanup();
    opens(store);
    const field = () => screen.getByTestId<HTMLTextAreaElement>('recipe-text').value;
    expect(field()).toBe('2 tbsp honey');
    await act(async () => fireEvent.click(screen.getByTestId('start-over')));
    expect(field()).toBe('');
    cleanup();
    opens(store);
    expect(field()).toBe('');
  });

  it('is said in another language as it stands', async () => {
    speak(speechOf('pt', portuguese));
    opens();
    await answers(0);
    await types('2 tbsp honey');
    await answers(1);
    expect(lines()).toContain('mel');
  });
});
