/**
 * Type numbers of generic parts that read like a date: they stand on the part beside its date code. A year and week that is one of these may be
 * either. Industry numbers of logic, regulators, memory and peripherals; from memory of data books.
 */
const listed = [
  // Fixed regulators, positive and negative.
  ...[5, 6, 8, 9, 10, 12, 15, 18, 20, 24].flatMap(volts => [7800 + volts, 7900 + volts]),
  // Processors and what belongs to them.
  6502, 6507, 6510, 6512, 6520, 6522, 6526, 6529, 6530, 6532, 6545, 6551, 6800, 6801, 6802, 6803, 6809, 6810, 6820, 6821, 6840, 6844, 6845, 6847, 6850, 6852,
  8021, 8031, 8032, 8035, 8039, 8048, 8049, 8050, 8051, 8052, 8080, 8085, 8086, 8088, 8155, 8156, 8185, 8205, 8212, 8214, 8216, 8224, 8226, 8228, 8237,
  8238, 8243, 8250, 8251, 8253, 8254, 8255, 8257, 8259, 8271, 8272, 8275, 8279, 8282, 8283, 8284, 8286, 8287, 8288, 8289, 8748, 8749, 8751, 8752, 8755,
  // Converters, drivers and line circuits.
  7106, 7107, 7109, 7136, 7524, 7533, 7541, 7545,
]
const numbers = new Set(listed.map(String))

/** Whether four digits are the type number of a generic part as well: one that is listed, or any of the 74 logic series. */
export const isTypeNumber = (digits: string): boolean => numbers.has(digits) || /^74\d\d$/.test(digits)
