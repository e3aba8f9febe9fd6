import { calendarDay, Stopped, TookTooLong } from '@/core/base/measures';
import { demoRecords } from '@/core/lab/simulation';
import { memoryStorage, over, settle } from './testing/memoryStorage';
import { answerFor, slowAnswerer } from './testing/slowAnswerer';
import {
  answerWanted,
  dayBegan,
  headChosen,
  makeStore,
  recordsAdded,
  recordsTaken,
  searchedOn,
  selectAgreed,
  selectAnswer,
  selectFailure,
  selectHairState,
  selectPending,
  selectSearch,
  selectTaken,
  weeksLookedAt,
} from '.';

const today = calendarDay('2026-05-13');
const demo = demoRecords(today);

function opened() {
  const asked = slowAnswerer();
  const store = makeStore(over(memoryStorage()), asked.answerer, today);
  store.dispatch(recordsTaken(demo));
  const headline = () => selectAnswer(store.getState())?.plan.headline;
  return { store, headline, ...asked };
}

async function planned() {
  const page = opened();
  page.store.dispatch(answerWanted('plan'));
  await settle();
  const { resolve, question } = page.lastOpen();
  resolve(answerFor(question, 'solved'));
  await settle();
  return page;
}

const [reading] = demo.filter(({ kind }) => kind === 'reading');
const newer = (id: string, more = {}) => ({ ...reading!, id, ...more }) as never;

describe('states and plans', () => {
  it('are computed only when a screen wants them', async () => {
    const { store, estimated, open } = opened();
    await settle();
    expect([estimated, open]).toEqual([[], []]);
    store.dispatch(answerWanted('states'));
    await settle();
    expect([[...estimated].sort(), open]).toEqual([['maren', 'pip'], []]);
    expect(selectHairState(store.getState())).not.toBeNull();
    store.dispatch(answerWanted('plan'));
    store.dispatch(answerWanted('states'));
    await settle();
    expect([estimated.length, open.length]).toEqual([2, 1]);
  });

  it('show what the search found until the solver answers, and how far it is', async () => {
    const { store, headline, lastOpen } = opened();
    store.dispatch(answerWanted('plan'));
    await settle();
    const { question, first, gap, resolve } = lastOpen();
    expect([headline(), selectSearch(store.getState())]).toEqual([undefined, Infinity]);
    first?.(answerFor(question, 'searched'));
    gap(0.2);
    expect([headline(), selectSearch(store.getState())]).toEqual(['searched', 0.2]);
    resolve(answerFor(question, 'solved'));
    await settle();
    expect([headline(), selectSearch(store.getState()), selectPending(store.getState())]).toEqual([
      'solved',
      null,
      false,
    ]);
    expect(Object.keys(selectAgreed(store.getState())).sort()).toEqual(['maren', 'pip']);
  });

  it('of an older question are not taken for the newest, however late they come', async () => {
    const { store, headline, open, stopped } = await planned();
    const before = stopped();
    store.dispatch(recordsAdded([newer('one')]));
    await settle();
    store.dispatch(recordsAdded([newer('two')]));
    await settle();
    const [, old, last] = open;
    expect([open.length, stopped() - before, selectPending(store.getState())]).toEqual([3, 2, true]);
    last!.resolve(answerFor(last!.question, 'of both'));
    await settle();
    old!.gap(0.5);
    old!.resolve(answerFor(old!.question, 'of one'));
    await settle();
    expect([headline(), selectSearch(store.getState())]).toEqual(['of both', null]);
  });

  it('stay as they are for a picture, for another head on screen, and for a plan that was agreed', async () => {
    const { store, estimated, open, headline } = await planned();
    store.dispatch(
      recordsAdded([
        newer('picture', { kind: 'photo' }),
        newer('calendar', { kind: 'calendar-export', headId: 'maren' }),
      ]),
    );
    store.dispatch(headChosen('pip'));
    await settle();
    expect([estimated.length, open.length, headline()]).toEqual([2, 1, 'solved']);
    expect(selectPending(store.getState())).toBe(false);
  });

  it('follow a reading with the state of its head alone, a look further with none, a new day with all', async () => {
    const { store, estimated, lastOpen } = await planned();
    estimated.length = 0;
    store.dispatch(recordsAdded([newer('one')]));
    await settle();
    expect(estimated).toEqual([(reading as { headId?: string }).headId]);
    // A plan is on screen: the search's is of no use.
    expect(lastOpen().first).toBeNull();
    store.dispatch(weeksLookedAt(12));
    await settle();
    expect([estimated.length, lastOpen().question.weeks, lastOpen().first === null]).toEqual([1, 12, false]);
    store.dispatch(dayBegan(calendarDay('2026-05-14')));
    await settle();
    expect([estimated.length, lastOpen().question.today]).toEqual([3, '2026-05-14']);
  });

  it('can be taken before the solver is done: what answers this question stays, else the search is asked', async () => {
    const { store, headline, lastOpen } = await planned();
    store.dispatch(searchedOn());
    await settle();
    expect(lastOpen().question.effort).toBe('long');
    lastOpen().reject(new Stopped());
    await settle();
    expect([headline(), selectTaken(store.getState()), selectPending(store.getState())]).toEqual([
      'solved',
      true,
      false,
    ]);
    store.dispatch(recordsAdded([newer('one')]));
    await settle();
    expect(selectTaken(store.getState())).toBe(false);
    expect(lastOpen().question.effort).toBe('usual');
    lastOpen().reject(new Stopped());
    await settle();
    expect([headline(), selectTaken(store.getState())]).toEqual(['searched at the end', true]);
  });

  it('that could not be computed say why, and come with the next change', async () => {
    const { store, headline, lastOpen } = opened();
    store.dispatch(answerWanted('plan'));
    await settle();
    lastOpen().reject(new TookTooLong());
    await settle();
    expect(selectFailure(store.getState())).toContain('No answer came in time');
    expect(selectSearch(store.getState())).toBeNull();
    store.dispatch(recordsAdded([newer('one')]));
    await settle();
    lastOpen().resolve(answerFor(lastOpen().question, 'now'));
    await settle();
    expect([headline(), selectFailure(store.getState())]).toEqual(['now', null]);
  });
});
