import { ApiProperty } from '@nestjs/swagger'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  MaxLength,
  ValidateNested,
} from 'class-validator'

export class SourceFileDto {
  @ApiProperty({ example: 'src/App.tsx' })
  @IsString()
  @MaxLength(300)
  @Matches(/^(?:src|lib|assets)\/[A-Za-z0-9_./-]+$/)
  path: string

  @ApiProperty({ enum: ['text', 'base64'] })
  @IsIn(['text', 'base64'])
  encoding: 'text' | 'base64'

  @ApiProperty()
  @IsString()
  content: string
}

export class BundleDto {
  @ApiProperty({ type: [SourceFileDto] })
  @IsArray()
  @ArrayMaxSize(5000)
  @ValidateNested({ each: true })
  @Type(() => SourceFileDto)
  files: SourceFileDto[]

  /** The project whose codebase has the components that are used. */
  @ApiProperty({ required: false })
  @IsOptional()
  @IsUUID()
  project?: string
}
