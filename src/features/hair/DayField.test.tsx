import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useForm, useWatch } from 'react-hook-form';
import { calendarDay } from '@/core/base/measures';
import { DayField } from './DayField';

const today = calendarDay('2026-05-13');
const yesterday = calendarDay('2026-05-12');

function Form({ day }: { day: string }) {
  const { control } = useForm({ defaultValues: { day } });
  const chosenDay = useWatch({ control, name: 'day' });
  return (
    <>
      <DayField control={control} name="day" today={today} yesterday={yesterday} />
      <p data-testid="day">{chosenDay}</p>
    </>
  );
}

const chosen = () => screen.getByTestId('day').textContent;
const taps = (name: string) => act(async () => void fireEvent.click(screen.getByRole('radio', { name })));

afterEach(cleanup);

describe('the day of a record', () => {
  it('is today or yesterday in one tap, and any other day out of a calendar', async () => {
    render(<Form day={today} />);
    expect(screen.queryByLabelText('Which day')).toBeNull();
    await taps('yesterday');
    expect(chosen()).toBe(yesterday);
    await taps('another day');
    const field = screen.getByLabelText<HTMLInputElement>('Which day');
    expect([field.type, field.value]).toEqual(['date', yesterday]);
    await act(async () => void fireEvent.change(field, { target: { value: '2026-04-30' } }));
    expect(chosen()).toBe('2026-04-30');
    await taps('today');
    expect([chosen(), screen.queryByLabelText('Which day')]).toEqual([today, null]);
  });

  it('is taken with the space bar by who has no pointer', async () => {
    render(<Form day={today} />);
    await act(
      async () => void fireEvent.keyDown(screen.getByRole('radio', { name: 'yesterday' }), { key: ' ' }),
    );
    expect(chosen()).toBe(yesterday);
  });

  it('opens on the calendar where the record is of another day', () => {
    render(<Form day="2026-03-01" />);
    expect(screen.getByLabelText<HTMLInputElement>('Which day').value).toBe('2026-03-01');
  });
});
