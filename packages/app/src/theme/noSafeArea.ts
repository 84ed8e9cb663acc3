import type { ReactNode } from 'react';

/** In the place of what keeps clear of a phone's notch: a page that does not ask for the whole of the glass ends there. */
export const SafeAreaProvider = ({ children }: { readonly children: ReactNode }): ReactNode => children;
