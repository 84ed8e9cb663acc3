import { startsAt } from './startDay';

const now = new Date(2026, 10, 30, 14, 20);
const at = (when: 'now' | 'tomorrow' | 'later', date = '') => {
  const iso = startsAt({ when, date }, now);
  return iso === undefined ? undefined : new Date(iso).toString().slice(0, 21);
};

describe('startsAt', () => {
  it('is now, or six in the morning of its day', () => {
    expect(startsAt({ when: 'now', date: '' }, now)).toBe(now.toISOString());
    expect(at('tomorrow')).toBe('Tue Dec 01 2026 06:00');
    expect(at('later', ' 2027-2-28 ')).toBe('Sun Feb 28 2027 06:00');
  });

  it.each(['', '28.2.2027', '2027-02-30', '2027-13-01', 'tomorrow'])('is no day: %p', (date) =>
    expect(at('later', date)).toBeUndefined(),
  );
});
