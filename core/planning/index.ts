export { orderWalk, type Stop } from './order-walk';
