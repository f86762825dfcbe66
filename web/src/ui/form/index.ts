export { ChoiceField } from './ChoiceField';
export { DayField } from './DayField';
export { fieldCss } from './fieldCss';
export { Fields } from './Fields';
export { FileField } from './FileField';
export { FormPage, FormProblem, SubmitButton } from './FormPage';
export { NumberTextField, typedNumber, WordsField } from './WordsField';
