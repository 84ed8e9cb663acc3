// First of all: the browser reads the rows while the rest of this file is still being run.
import './data/atOnce';

import 'expo-router/entry';
