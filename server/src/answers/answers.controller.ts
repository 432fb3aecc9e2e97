import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  ParseUUIDPipe,
  Post,
} from '@nestjs/common'
import { ApiOperation, ApiTags } from '@nestjs/swagger'
import { AnswersService } from './answers.service'
import { FormParams } from './dto/form-params'

@ApiTags('answers')
@Controller('api/projects/:id/answers')
export class AnswersController {
  constructor(private readonly answers: AnswersService) {}

  @Post(':form')
  @ApiOperation({ summary: 'Keep the answers of a form, for trying out' })
  add(@Param('id', ParseUUIDPipe) id: string, @Param() { form }: FormParams, @Body() body: object) {
    return this.answers.add(id, form, body)
  }

  @Get(':form')
  @ApiOperation({ summary: 'The answers of a form, oldest first' })
  list(@Param('id', ParseUUIDPipe) id: string, @Param() { form }: FormParams) {
    return this.answers.list(id, form)
  }

  @Get(':form/csv')
  @Header('content-type', 'text/csv; charset=utf-8')
  @Header('content-disposition', 'attachment; filename="answers.csv"')
  @ApiOperation({ summary: 'The answers of a form as a table' })
  csv(@Param('id', ParseUUIDPipe) id: string, @Param() { form }: FormParams) {
    return this.answers.csv(id, form)
  }

  @Delete(':form')
  @HttpCode(204)
  @ApiOperation({ summary: 'Take the answers of a form away' })
  clear(@Param('id', ParseUUIDPipe) id: string, @Param() { form }: FormParams) {
    return this.answers.clear(id, form)
  }
}
