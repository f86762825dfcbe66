export { QuadBookPage } from './QuadBookPage';
export { QuadsPage } from './QuadsPage';
