export { WhatIfPlace as default } from '../../places/ground/WhatIfPlace';
