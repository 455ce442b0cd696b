/** From a small trailer’s wheel nuts to a large van’s, Nm (mem). */
export const TORQUE_NM = { least: 20, most: 600 }
