import type { ReactNode } from 'react';

/*
 * In the place of parts of libraries that none of our pages shows (`instead.js`).
 */

/** What keeps clear of a phone's notch: a page that does not ask for the whole of the glass ends there by itself. */
export const SafeAreaProvider = ({ children }: { readonly children: ReactNode }): ReactNode => children;
export const SafeAreaView = SafeAreaProvider;

const Nothing = (): null => null;
/** What stands for a route without a screen, for one that still comes, and for an address that nothing is at: we have our own. */
export { Nothing as EmptyRoute, Nothing as SuspenseFallback, Nothing as RootUnmatched, Nothing as Unmatched };
/** A list of all addresses. */
export { Nothing as Sitemap };

/** Screens that a phone's own system stacks, under headers of its own. */
export const createNativeStackNavigator = () => ({ Navigator: Nothing });
/** Tabs of a phone's own system. */
export const isNativeTabTrigger = (): boolean => false;

/** A list that moves. */
export default Nothing;
