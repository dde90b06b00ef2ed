export const LOOK_FORMAT = 'janusform-look'
export const LOOK_VERSION = 5
