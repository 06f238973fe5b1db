/** @jest-environment jsdom */
import { act, render, renderHook, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { UnitsProvider } from '../units';
import { METRIC, type Units } from '@/core/units';
import { useChosen } from '../useChosen';
import { DataTable, QuantityField, type TableRowData } from '.';

const push = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }));

const US: Units = { ...METRIC, temperature: '°F', length: 'in' };

function Height({ units, start, most = Infinity }: { units: Units; start: number | null; most?: number }) {
  const [mm, setMm] = useState(start);
  return (
    <UnitsProvider units={units} save={() => Promise.resolve({ ok: true, value: undefined })}>
      <QuantityField
        dimension="length"
        label="Height"
        value={mm}
        onChange={(next) => setMm(next !== null && next > most ? mm : next)}
      />
      <output>{mm}</output>
      <button onClick={() => setMm(254)}>Ten inches</button>
    </UnitsProvider>
  );
}
const field = () => screen.getByRole<HTMLInputElement>('textbox');
const kept = () => Number(screen.getByRole('status').textContent);

describe('a field for a length', () => {
  test('keeps what was typed as it was typed, and says what it understood', async () => {
    render(<Height units={US} start={null} />);
    // Finer than the field shows a length that it did not see typed.
    await userEvent.type(field(), '4 17/32');
    expect(field().value).toBe('4 17/32');
    expect(kept()).toBeCloseTo(115.094, 3);
    await userEvent.clear(field());
    await userEvent.type(field(), '11,43 cm');
    expect(field().value).toBe('11,43 cm');
    expect(kept()).toBeCloseTo(114.3, 6);
    expect(screen.getByText('= 4.50 in')).toBeTruthy();
  });

  test('takes the next number in place of the last, and forgets what was typed when another value is set', async () => {
    render(<Height units={US} start={127} />);
    expect(field().value).toBe('5');
    await userEvent.click(field());
    await userEvent.keyboard('6');
    expect(field().value).toBe('6');
    await userEvent.click(screen.getByRole('button'));
    expect(field().value).toBe('10');
  });

  test('says when it is no number, and shows what stands when a number that is out of range is left', async () => {
    render(<Height units={METRIC} start={100} most={400} />);
    await userEvent.clear(field());
    await userEvent.type(field(), 'tall');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    await userEvent.clear(field());
    await userEvent.type(field(), '20');
    const before = kept();
    await userEvent.clear(field());
    await userEvent.type(field(), '999');
    await userEvent.tab();
    expect(kept()).toBeLessThanOrEqual(400);
    expect(field().value).not.toBe('999');
    expect(before).toBe(200);
  });
});

describe('a table', () => {
  const rows: TableRowData[] = [
    ['Sleeper', 12],
    ['Ash Tip', 3],
    ['Limewash', 7],
  ].map(([name, count]) => ({
    key: String(name),
    href: `/glazes/${name}`,
    cells: [<a key="name" href="#there">{`${name}`}</a>, count],
    values: [name!, count!],
  }));
  const columns = [
    { name: 'Glaze', isSortable: true },
    { name: 'Pieces', isSortable: true, align: 'right' },
  ] as const;
  const names = () => screen.getAllByRole('link').map((link) => link.textContent);

  test('is ordered by a heading, and the other way when it is pressed again', async () => {
    render(<DataTable label="Glazes" columns={columns} rows={rows} />);
    expect(names()).toEqual(['Sleeper', 'Ash Tip', 'Limewash']);
    await userEvent.click(screen.getByRole('button', { name: 'Pieces' }));
    expect(names()).toEqual(['Ash Tip', 'Limewash', 'Sleeper']);
    const heading = screen.getByRole('columnheader', { name: 'Pieces' });
    expect(heading.getAttribute('aria-sort')).toBe('ascending');
    await userEvent.click(screen.getByRole('button', { name: 'Pieces' }));
    expect(names()).toEqual(['Sleeper', 'Limewash', 'Ash Tip']);
    expect(heading.getAttribute('aria-sort')).toBe('descending');
  });

  test('is narrowed by a word, and says when no row matches', async () => {
    render(<DataTable label="Glazes" columns={columns} rows={rows} filter="Find" empty="No glaze yet." />);
    await userEvent.type(screen.getByLabelText('Find'), 'ash t');
    expect(names()).toEqual(['Ash Tip']);
    await userEvent.type(screen.getByLabelText('Find'), 'x');
    expect(screen.getByText('No row matches.')).toBeTruthy();
  });

  test('is walked with the arrow keys, and opens a row that is pressed beside its links', async () => {
    render(<DataTable label="Glazes" columns={columns} rows={rows} />);
    screen.getByRole('link', { name: 'Sleeper' }).focus();
    await userEvent.keyboard('{ArrowDown}');
    expect(document.activeElement?.textContent).toBe('Ash Tip');
    await userEvent.keyboard('{End}');
    expect(document.activeElement?.textContent).toBe('Limewash');
    await userEvent.keyboard('{ArrowDown}{Home}');
    expect(document.activeElement?.textContent).toBe('Sleeper');
    await userEvent.click(within(screen.getByRole('row', { name: /Ash Tip/ })).getByText('3'));
    expect(push.mock.calls).toEqual([['/glazes/Ash Tip']]);
    await userEvent.click(screen.getByRole('link', { name: 'Sleeper' }));
    expect(push).toHaveBeenCalledTimes(1);
  });

  test('ticks a row, and says whether Shift was held', async () => {
    const onTick = jest.fn();
    const ticked = rows.map((row) => ({
      ...row,
      tick: { label: `Choose ${row.key}`, isDone: false, onTick },
    }));
    render(<DataTable label="Glazes" ticks="chosen" columns={columns} rows={ticked} />);
    const user = userEvent.setup();
    await user.click(screen.getByRole('checkbox', { name: 'Choose Ash Tip' }));
    await user.keyboard('{Shift>}');
    await user.click(screen.getByRole('checkbox', { name: 'Choose Limewash' }));
    expect(onTick.mock.calls).toEqual([[false], [true]]);
  });
});

test('with Shift all between the last one and the next are chosen, whichever stands first', () => {
  const { result } = renderHook(() => useChosen(['a', 'b', 'c', 'd', 'e']));
  act(() => result.current.turnTo('d', true, false));
  act(() => result.current.turnTo('b', true, true));
  expect([...result.current.chosen].sort()).toEqual(['b', 'c', 'd']);
  act(() => result.current.turnTo('c', false, false));
  expect([...result.current.chosen].sort()).toEqual(['b', 'd']);
  act(() => result.current.turnTo('e', true, true));
  expect([...result.current.chosen].sort()).toEqual(['b', 'c', 'd', 'e']);
  act(() => result.current.clear());
  expect(result.current.chosen.size).toBe(0);
});
