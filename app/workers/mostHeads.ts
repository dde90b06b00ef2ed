/** As many bare skins are kept on this device; one of a whole head has about 15 MB. */
export const MOST_HEADS = 12
