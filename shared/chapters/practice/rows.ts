import { z } from 'zod'
import { boardSchools, plasticSchools } from '#core/cleaning/words'
import { capacitorSchoolNames } from '#core/parts/recap/schools'
import { replacementNames } from '#core/power/battery'
import { keysOf, oneOf, text } from '../../kernel/fields'
import { row } from '../../kernel/row'
import { SchoolShape } from '../../kernel/shapes'

/** How the collection does things, but for its meter, which has a form of its own. The first entries named no currency and one school. */
export const PracticeRow = row(
  {
    name: text('Name of the collection', 120),
    school: SchoolShape,
    numbering: text('Numbering', 40),
    zone: text('Time zone', 60),
    currency: z
      .string()
      .trim()
      .toUpperCase()
      .regex(/^[A-Z]{3}$/, 'Currency: three letters, such as EUR.')
      .default('EUR'),
    batterySchool: oneOf(replacementNames as ['none', ...typeof replacementNames], 'Lost battery').default('remote-holder'),
    boardSchool: oneOf(keysOf(boardSchools), 'Fouled boards').default('spot'),
    plasticSchool: oneOf(keysOf(plasticSchools), 'Yellowed plastic').default('leave'),
    capacitorSchool: oneOf(capacitorSchoolNames, 'Old capacitors').default('after-start'),
  },
  { currency: 'EUR', batterySchool: 'remote-holder', boardSchool: 'spot', plasticSchool: 'leave', capacitorSchool: 'after-start' },
)
