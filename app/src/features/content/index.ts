export { ContentScreen, type ContentScreenProps } from './content-screen';
