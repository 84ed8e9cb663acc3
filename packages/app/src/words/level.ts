import { percent } from './format';

/** How full: `empty`, `35 %`, `full`. */
export const levelText = (level: number): string => (level <= 0 ? 'empty' : level >= 1 ? 'full' : percent(level));
