import { beginData } from './begin';

beginData();
