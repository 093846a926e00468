/** Made by icons.ts. */
declare module 'virtual:icons' {
  const icons: [name: string, words: string, drawing: string][];
  export default icons;
}
