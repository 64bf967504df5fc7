import { Rooms } from './rooms'

/** The rooms of this server. */
export const theRooms = new Rooms()
