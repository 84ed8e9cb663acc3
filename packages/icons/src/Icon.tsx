import { ICONS, type IconName } from './icons';

export { ICONS, type IconName };

interface IconProps {
  readonly name: IconName;
  readonly size: number;
  readonly color: string;
}

/** An icon as React Native Paper draws it: beside a word that names it, so it has no name of its own. */
export default function Icon({ name, size, color }: IconProps) {
  const Drawing = ICONS[name];
  return <Drawing size={size} color={color} aria-hidden />;
}
