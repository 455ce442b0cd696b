/** bytes; photographs of a telephone come to a few megabytes, of a good camera to twenty (mem). */
export const MOST_PHOTO_BYTES = 30 * 1024 * 1024
