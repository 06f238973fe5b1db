export { orderStand, standOf, type OrderedPiece, type Stand } from './stand';
