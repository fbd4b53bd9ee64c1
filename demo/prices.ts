/** What the demo's suppliers ask for capacitors. */
export const priceLists = [
  {
    supplier: 'a shop abroad',
    postage: '6.90',
    typed: [
      'part;pack;price;from 10;from 50',
      '22u 35V axial electrolytic 105C 6x13;1;0.38;0.24;0.19',
      '22u 50V radial electrolytic 105C 5x11;10;0.14;0.09;',
      '47u 35V radial electrolytic 105C 5x11;10;0.12;0.08;0.06',
      '100u 35V radial electrolytic 105C 6x11;10;0.15;0.10;0.08',
      '220u 63V axial electrolytic 105C 10x25;1;1.20;0.85;',
      '470u 50V radial electrolytic 105C 10x20;5;0.42;0.30;',
      '1000u 25V radial electrolytic 105C 10x20;5;0.55;0.41;',
      '100n 275VAC X2 film pitch 15;1;0.60;0.45;',
      '470n 275VAC X2 film pitch 22.5;1;0.95;0.70;',
    ].join('\n'),
  },
  {
    supplier: 'the counter of the radio club',
    postage: '',
    typed: [
      'part;pack;price',
      '470u 35V radial electrolytic 85C 10x20;1;0.70',
      '47u 25V radial electrolytic 85C 5x11;1;0.25',
      '100n 275VAC X2 film pitch 15;1;0.80',
    ].join('\n'),
  },
]
