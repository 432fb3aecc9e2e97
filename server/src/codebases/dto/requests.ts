import { ApiProperty } from '@nestjs/swagger'
import { IsNotEmpty, IsObject, IsString, MaxLength } from 'class-validator'

export class ChooseCodebaseDto {
  /** One of the folders that the server was allowed to read. */
  @ApiProperty({ example: '/home/me/shop' })
  @IsString()
  @IsNotEmpty()
  @MaxLength(4000)
  folder: string
}

export class UploadCodebaseDto {
  @ApiProperty({ example: 'shop.zip' })
  @IsString()
  @IsNotEmpty()
  @MaxLength(200)
  name: string

  /** A ZIP archive in Base64. */
  @ApiProperty()
  @IsString()
  data: string
}

/** A glossary; it is checked by its own schema. */
export class GlossaryDto {
  @ApiProperty({ type: 'object', additionalProperties: true })
  @IsObject()
  glossary: Record<string, unknown>
}
