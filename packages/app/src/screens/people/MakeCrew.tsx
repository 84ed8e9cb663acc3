import { useState } from 'react';

import { makeCrew } from '../../data/people';
import { Action } from '../../components/Action';
import { TextField } from '../../components/TextField';
import { Trouble } from './Trouble';
import { useAsked } from './useAsked';

/** A crew of one's own, to share machines in. */
export function MakeCrew() {
  const [name, setName] = useState('');
  const asked = useAsked();
  return (
    <>
      <TextField
        label="Name of the crew"
        value={name}
        onChange={setName}
        hint="You own it, and can make others owners too"
      />
      <Trouble {...asked} />
      <Action
        label="Make the crew"
        disabled={asked.busy || name.trim().length < 2}
        onPress={() => void asked.run(() => makeCrew(name))}
      />
    </>
  );
}
