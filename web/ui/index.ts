export { Button } from './Button';
export { TextField, SelectField } from './fields';
export { Notice } from './Notice';
export { Loading, Failed } from './states';
export { Menu } from './Menu';
export type { MenuItem } from './Menu';
export { Key } from './Key';
