export { CurveScreen as default } from '../../screens/ground/CurveScreen';
