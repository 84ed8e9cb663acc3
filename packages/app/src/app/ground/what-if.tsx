export { WhatIfScreen as default } from '../../screens/ground/WhatIfScreen';
