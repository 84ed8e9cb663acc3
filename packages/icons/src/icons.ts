// One by one, so that only what is used ships.
import Archive from 'lucide-react-native/icons/archive';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import ArrowUp from 'lucide-react-native/icons/arrow-up';
import BookOpen from 'lucide-react-native/icons/book-open';
import Check from 'lucide-react-native/icons/check';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import Circle from 'lucide-react-native/icons/circle';
import CloudOff from 'lucide-react-native/icons/cloud-off';
import Copy from 'lucide-react-native/icons/copy';
import Download from 'lucide-react-native/icons/download';
import FileText from 'lucide-react-native/icons/file-text';
import Gauge from 'lucide-react-native/icons/gauge';
import Keyboard from 'lucide-react-native/icons/keyboard';
import Minus from 'lucide-react-native/icons/minus';
import Moon from 'lucide-react-native/icons/moon';
import Pencil from 'lucide-react-native/icons/pencil';
import Plus from 'lucide-react-native/icons/plus';
import Printer from 'lucide-react-native/icons/printer';
import Ruler from 'lucide-react-native/icons/ruler';
import Search from 'lucide-react-native/icons/search';
import Sun from 'lucide-react-native/icons/sun';
import Sunrise from 'lucide-react-native/icons/sunrise';
import Trash from 'lucide-react-native/icons/trash';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import Truck from 'lucide-react-native/icons/truck';
import Upload from 'lucide-react-native/icons/upload';
import Waves from 'lucide-react-native/icons/waves-horizontal';
import Wind from 'lucide-react-native/icons/wind';
import X from 'lucide-react-native/icons/x';

/** Lucide's drawings by the names that they are used by: Lucide's own, and Paper's where its controls ask for them. */
export const ICONS = {
  archive: Archive,
  'arrow-left': ArrowLeft,
  'arrow-up': ArrowUp,
  'book-open': BookOpen,
  check: Check,
  'chevron-down': ChevronDown,
  'chevron-left': ChevronLeft,
  'chevron-right': ChevronRight,
  'chevron-up': ChevronUp,
  circle: Circle,
  close: X,
  'cloud-off': CloudOff,
  copy: Copy,
  download: Download,
  'file-text': FileText,
  gauge: Gauge,
  keyboard: Keyboard,
  magnify: Search,
  minus: Minus,
  moon: Moon,
  pencil: Pencil,
  plus: Plus,
  printer: Printer,
  ruler: Ruler,
  sun: Sun,
  sunrise: Sunrise,
  trash: Trash,
  'triangle-alert': TriangleAlert,
  truck: Truck,
  upload: Upload,
  waves: Waves,
  wind: Wind,
};

export type IconName = keyof typeof ICONS;
