import { expose } from 'comlink';
import { clockApi } from './clock';

/** Like the others, without what makes them speak: a clock says nothing, and weighs a tenth. */
expose({
  speak: () => undefined,
  answer: (_: 'after', milliseconds: number) => clockApi.after(milliseconds),
});
