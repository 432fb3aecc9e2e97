import { IsBase64, IsString, MaxLength, MinLength } from 'class-validator'

export class AddFontDto {
  /** File name as it was chosen. */
  @IsString()
  @MinLength(1)
  @MaxLength(200)
  name: string

  /** The file's bytes in base64. */
  @IsBase64()
  @MaxLength(14_000_000)
  data: string
}
