import type { Problem } from '@dunlinmoss/contract';
import { useState } from 'react';

import { usualDeviceName, type Credentials } from '../../data/people';
import { TextField } from '../../components/TextField';
import { credentialProblems } from '../../words/people';

interface CredentialFieldsProps {
  readonly value: Credentials;
  readonly onChange: (value: Credentials) => void;
  readonly problem: Problem | null;
  /** A pass-phrase that is chosen now; else one that was chosen before. */
  readonly isNew: boolean;
}

/** Who somebody is: a name, a pass-phrase, and what this device is called in the list of sessions. */
export function CredentialFields({ value, onChange, problem, isNew }: CredentialFieldsProps) {
  const problems = problem && isNew ? credentialProblems(problem) : {};
  return (
    <>
      <TextField
        label="Name"
        value={value.name}
        fillsIn="username"
        onChange={(name) => onChange({ ...value, name })}
        problem={problems.name}
        hint={isNew ? 'As your crew calls you' : undefined}
      />
      <TextField
        label={isNew ? 'New pass-phrase' : 'Pass-phrase'}
        value={value.passphrase}
        fillsIn={isNew ? 'new-password' : 'current-password'}
        onChange={(passphrase) => onChange({ ...value, passphrase })}
        problem={problems.passphrase}
        hint={isNew ? 'At least 12 characters: a few words that only you would put together' : undefined}
      />
      <TextField
        label="This device"
        value={value.device}
        onChange={(device) => onChange({ ...value, device })}
        hint="So that you can sign it out from elsewhere"
      />
    </>
  );
}

/** What is typed into them. */
export function useCredentials() {
  const [value, setValue] = useState<Credentials>({ name: '', passphrase: '', device: usualDeviceName() });
  // A device without a name is told apart by its kind.
  const whole: Credentials = { ...value, device: value.device.trim() === '' ? usualDeviceName() : value.device.trim() };
  return { value, setValue, whole };
}
