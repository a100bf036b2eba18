declare module 'html-to-docx' {
  export default function htmlToDocx(html: string): Promise<Uint8Array | ArrayBuffer | Blob>
}
