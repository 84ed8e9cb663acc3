import { act, renderHook } from '@testing-library/react';
import { useForm } from 'react-hook-form';

import { dropDraft, readDraft, useDraft } from './drafts';
import { readStored, writeStored } from '../settings/storage';

interface Values {
  name: string;
}
const useNamed = (draft: string) => {
  const form = useForm<Values>({ defaultValues: readDraft<Values>(draft) ?? { name: '' } });
  useDraft(draft, form);
  return form;
};

beforeEach(() => localStorage.clear());

describe('useDraft', () => {
  it('keeps what is typed, for the next time the form opens', () => {
    const first = renderHook(() => useNamed('a'));
    first.result.current.register('name');
    act(() => first.result.current.setValue('name', 'Knot'));
    first.unmount();
    expect(renderHook(() => useNamed('a')).result.current.getValues()).toEqual({ name: 'Knot' });
    expect(renderHook(() => useNamed('b')).result.current.getValues()).toEqual({ name: '' });
  });

  it('forgets a draft that was dropped', () => {
    writeStored('draft:a', { name: 'Knot' });
    dropDraft('a');
    expect(readDraft('a')).toBeUndefined();
  });
});

describe('storage', () => {
  it('takes a browser that keeps nothing, or something unreadable, for empty', () => {
    localStorage.setItem('dunlinmoss:x', '{broken');
    expect(readStored('x')).toBeUndefined();
    expect(readStored('never')).toBeUndefined();
  });
});
