/** MIME types of files we write (ECMA-376, registered with IANA). */
export const docxType = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document'
export const xlsxType = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'
