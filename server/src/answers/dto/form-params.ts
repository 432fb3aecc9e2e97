import { ApiProperty } from '@nestjs/swagger'
import { IsUUID, Matches } from 'class-validator'

export class FormParams {
  @ApiProperty()
  @IsUUID()
  id: string

  /** The id of a form in the delivered pages. */
  @ApiProperty({ example: 'log-a-sighting' })
  @Matches(/^[a-z0-9-]{1,80}$/, { message: 'a form is named in small letters, digits and dashes' })
  form: string
}
