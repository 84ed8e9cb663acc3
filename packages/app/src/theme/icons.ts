// One by one, so that only what is used ships.
export { default as BookOpen } from 'lucide-react-native/icons/book-open';
export { default as Check } from 'lucide-react-native/icons/check';
export { default as ChevronDown } from 'lucide-react-native/icons/chevron-down';
export { default as ChevronUp } from 'lucide-react-native/icons/chevron-up';
export { default as CloudOff } from 'lucide-react-native/icons/cloud-off';
export { default as Minus } from 'lucide-react-native/icons/minus';
export { default as Moon } from 'lucide-react-native/icons/moon';
export { default as Plus } from 'lucide-react-native/icons/plus';
export { default as Ruler } from 'lucide-react-native/icons/ruler';
export { default as Sun } from 'lucide-react-native/icons/sun';
export { default as Sunrise } from 'lucide-react-native/icons/sunrise';
export { default as Trash } from 'lucide-react-native/icons/trash';
export { default as TriangleAlert } from 'lucide-react-native/icons/triangle-alert';
export { default as Truck } from 'lucide-react-native/icons/truck';
export { default as Waves } from 'lucide-react-native/icons/waves-horizontal';
