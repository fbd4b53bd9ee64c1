export { hands } from '../../server/files/hands'
