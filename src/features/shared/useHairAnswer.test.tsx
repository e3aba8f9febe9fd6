import { act, cleanup, render, screen } from '@testing-library/react';
import { Profiler } from 'react';
import { Provider } from 'react-redux';
import { calendarDay } from '@/core/base/measures';
import { demoRecords } from '@/core/lab/simulation';
import { headChosen, makeStore, recordsAdded, recordsTaken, selectSearch, useAppSelector } from '@/store';
import { memoryStorage, over, settle } from '@/store/testing/memoryStorage';
import { answerFor, slowAnswerer } from '@/store/testing/slowAnswerer';
import { useHairAnswer } from './useHairAnswer';

const today = calendarDay('2026-05-13');
const demo = demoRecords(today);

function Headline() {
  return <p data-testid="headline">{useHairAnswer()?.plan.headline ?? 'none yet'}</p>;
}

function Progress() {
  const search = useAppSelector(selectSearch);
  return <p data-testid="progress">{search ?? 'no figure'}</p>;
}

/** A page with what reads the plan and what reads how far it is; `drawn` counts how often the first was drawn. */
async function page() {
  const asked = slowAnswerer();
  const store = makeStore(over(memoryStorage()), asked.answerer, today);
  store.dispatch(recordsTaken(demo));
  let drawn = 0;
  render(
    <Provider store={store}>
      <Profiler id="headline" onRender={() => drawn++}>
        <Headline />
      </Profiler>
      <Progress />
    </Provider>,
  );
  await act(settle);
  return { ...asked, store, drawn: () => drawn };
}

const text = (id: string) => screen.getByTestId(id).textContent;

afterEach(cleanup);

describe('who reads the plan', () => {
  it('is not drawn again while the solver says how far it is', async () => {
    const { lastOpen, drawn } = await page();
    const { question, first, gap } = lastOpen();
    await act(async () => first?.(answerFor(question, 'searched')));
    expect(text('headline')).toBe('searched');
    const before = drawn();
    for (const far of [0.4, 0.2, 0.1, 0.05]) await act(async () => gap(far));
    expect([text('progress'), drawn()]).toEqual(['0.05', before]);
  });

  it('keeps the old plan on screen until the new one is there, and is drawn once for it', async () => {
    const { lastOpen, open, store, drawn } = await page();
    const { question, resolve } = lastOpen();
    await act(async () => resolve(answerFor(question, 'solved')));
    const reading = demo.find(({ kind }) => kind === 'reading');
    await act(async () => {
      store.dispatch(recordsAdded([{ ...reading!, id: 'a-new-one' } as never]));
      await settle();
    });
    expect([open.length, text('headline')]).toEqual([2, 'solved']);
    const before = drawn();
    await act(async () => lastOpen().resolve(answerFor(lastOpen().question, 'solved anew')));
    expect([text('headline'), drawn()]).toEqual(['solved anew', before + 1]);
  });

  it('has another head’s plan at once, without a question', async () => {
    const { lastOpen, open, store } = await page();
    const { question, resolve } = lastOpen();
    await act(async () => resolve(answerFor(question, 'solved')));
    await act(async () => void store.dispatch(headChosen('pip')));
    expect([open.length, text('headline')]).toEqual([1, 'solved']);
  });
});
