/** What somebody may do in a crew, the least first. */
export const ROLES = ['viewer', 'member', 'lead', 'own'] as const;
export type Role = (typeof ROLES)[number];
/** What an invitation can give. */
export const INVITED_ROLES = ['viewer', 'member', 'lead'] as const;

/** Whether a role may do what another is needed for. */
export const mayAs = (role: Role, needed: Role): boolean => ROLES.indexOf(role) >= ROLES.indexOf(needed);
