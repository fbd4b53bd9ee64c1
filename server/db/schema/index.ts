export * from './collection'
export * from './journal'
export * from './machines'
export * from './models'
