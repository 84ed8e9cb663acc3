import { act, render, screen } from '@testing-library/react';

import { ScreenTitle } from './ScreenTitle';

let mockPath = '/';
jest.mock('expo-router', () => ({ usePathname: () => mockPath }));

it('calls the window by the screen, and takes the focus there with every change of screen but the first', () => {
  const { rerender } = render(<ScreenTitle key="today">Today</ScreenTitle>);
  expect([document.title, document.activeElement]).toEqual(['Today · Dunlinmoss', document.body]);
  mockPath = '/rigs';
  rerender(<ScreenTitle key="rigs">Rigs</ScreenTitle>);
  expect(document.title).toBe('Rigs · Dunlinmoss');
  expect(document.activeElement).toBe(screen.getByRole('heading', { name: 'Rigs' }));
  // Its rows have come: the same screen, under another name.
  rerender(<ScreenTitle key="rigs">Rigs of the crew</ScreenTitle>);
  expect(document.title).toBe('Rigs of the crew · Dunlinmoss');
  // What it stood in was drawn anew: the focus would be nowhere.
  rerender(<ScreenTitle key="again">Rigs</ScreenTitle>);
  expect(document.activeElement).toBe(screen.getByRole('heading', { name: 'Rigs' }));
});

it('leaves the focus to who types, or who has gone on within the same screen', () => {
  const field = document.body.appendChild(document.createElement('input'));
  const button = document.body.appendChild(document.createElement('button'));
  const { rerender } = render(<ScreenTitle key="one">Rigs</ScreenTitle>);
  act(() => button.focus());
  rerender(<ScreenTitle key="two">Rigs</ScreenTitle>);
  expect(document.activeElement).toBe(button);
  act(() => field.focus());
  mockPath = '/ground';
  rerender(<ScreenTitle key="three">Ground</ScreenTitle>);
  expect(document.activeElement).toBe(field);
});
