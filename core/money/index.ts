export * from './money'
export * from './known-price'
