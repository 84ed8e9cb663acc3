import { NAME_LENGTH, PASSPHRASE_LENGTH, type Problem, type Role } from '@dunlinmoss/contract';

/** Roles as a crew speaks of them. */
export const ROLE_WORDS: Record<Role, { readonly name: string; readonly may: string }> = {
  viewer: { name: 'Viewer', may: 'see everything and change nothing' },
  member: { name: 'Member', may: 'work with the machines and write down what was done' },
  lead: { name: 'Lead', may: 'also invite people, read files in and delete for good' },
  own: { name: 'Owner', may: 'do everything, and make others leads or owners' },
};

/** What went wrong with people, in one sentence; another refusal by its own title. */
export function peopleProblemText({ code, title, retryAfterS = 0 }: Problem): string {
  switch (code) {
    case 'invalid':
      return 'Look at what is marked above.';
    case 'wrongPassphrase':
      return 'That name and pass-phrase don’t go together.';
    case 'wrongPasskey':
      return 'That passkey is not known here, or it was not confirmed. Sign in by name and pass-phrase.';
    case 'needsName':
      return 'Passkeys need a name, such as localhost or one of your network, not an address in digits.';
    case 'wrongCode':
      return 'That name and code don’t go together, or the code was used already.';
    case 'tooManyTries':
      return `That was wrong too often. Try again in ${Math.max(1, Math.ceil(retryAfterS / 60))} min, or use a recovery code from another place.`;
    case 'nameTaken':
      return 'Somebody here has that name, or one that looks like it. Add something to yours.';
    case 'notMember':
      return 'You are not in that crew any more. Ask one of its leads.';
    case 'notAllowed':
      return 'Your role in this crew doesn’t allow that. Ask a lead.';
    case 'lastOwner':
      return 'A crew needs an owner. Make somebody else one first.';
    case 'firstPerson':
      return 'You let the others in: your rows are those of this installation, and stay with it.';
    case 'codeNotGiven':
      return 'They are in other crews too, or own this one: they need one of their own printed codes.';
    case 'invitationUnknown':
      return 'This invitation is not good any more: it was taken back, or its crew is gone. Ask for a new one.';
    case 'invitationUsed':
      return 'This invitation was used already. Each is for one person: ask for a new one.';
    case 'invitationExpired':
      return 'This invitation is more than two days old. Ask for a new one.';
    case 'byInvitation':
      return 'People come in here by invitation. Ask somebody who is in for a link.';
    case 'aloneHere':
      return 'Nobody signs in on this machine yet.';
    default:
      return `${title}.`;
  }
}

/** What is wrong with a name or a pass-phrase that was refused, for beside its field. */
export function credentialProblems({ fields = [] }: Problem): { readonly name?: string; readonly passphrase?: string } {
  const of = (path: string) => fields.find((field) => field.path.endsWith(path));
  const name = of('/name');
  const passphrase = of('/passphrase');
  return {
    ...(name && {
      name:
        name.code === 'nameMixed'
          ? 'Expected letters of one alphabet: two names must not look alike.'
          : `Expected a name of ${NAME_LENGTH.least} to ${NAME_LENGTH.most} letters.`,
    }),
    ...(passphrase && {
      passphrase: `Expected at least ${PASSPHRASE_LENGTH.least} characters: a few words that only you would put together.`,
    }),
  };
}

/** Who has a machine just now; empty where nobody said, or where it is nobody of this crew any more. */
export const keeperText = (names: Readonly<Record<string, string>>, keeperId: string | null, me?: string): string =>
  keeperId === null || names[keeperId] === undefined ? '' : keeperId === me ? 'you' : names[keeperId];

/** What somebody is called; where this device doesn't know, no more than that it was somebody else. */
export const personName = (names: Readonly<Record<string, string>>, id: string): string => names[id] ?? 'somebody else';
