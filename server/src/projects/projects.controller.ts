import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  ParseIntPipe,
  ParseUUIDPipe,
  Patch,
  Post,
  Put,
} from '@nestjs/common'
import { ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger'
import { IF_MATCH, IfMatch } from '../http/version'
import {
  CreateEditDto,
  CreateEditionDto,
  CreateProjectDto,
  RenameProjectDto,
  SettingsDto,
} from './dto/requests'
import { ProjectsService } from './projects.service'

@ApiTags('projects')
@Controller('api/projects')
export class ProjectsController {
  constructor(private readonly projects: ProjectsService) {}

  @Get()
  @ApiOperation({ summary: 'All projects, the last changed first' })
  list() {
    return this.projects.list()
  }

  @Post()
  @ApiOperation({ summary: 'A new project with its first edition' })
  create(@Body() body: CreateProjectDto) {
    return this.projects.create(body)
  }

  @Get(':id')
  @ApiOperation({ summary: 'A project with its newest edition, its edits and settings' })
  get(@Param('id', ParseUUIDPipe) id: string) {
    return this.projects.get(id)
  }

  @Get(':id/state')
  @ApiOperation({ summary: 'The edits and settings of a project, without its design' })
  getState(@Param('id', ParseUUIDPipe) id: string) {
    return this.projects.getState(id)
  }

  @Patch(':id')
  @ApiOperation({ summary: 'Rename a project' })
  rename(@Param('id', ParseUUIDPipe) id: string, @Body() { name }: RenameProjectDto) {
    return this.projects.rename(id, name)
  }

  @Delete(':id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Put a project into the bin; it can be restored for 30 days' })
  remove(@Param('id', ParseUUIDPipe) id: string) {
    return this.projects.remove(id)
  }

  @Post(':id/restore')
  @ApiOperation({ summary: 'Take a project out of the bin' })
  restore(@Param('id', ParseUUIDPipe) id: string) {
    return this.projects.restore(id)
  }

  @Post(':id/duplicate')
  @ApiOperation({ summary: 'A copy with the newest edition, the edits and the settings' })
  duplicate(@Param('id', ParseUUIDPipe) id: string) {
    return this.projects.duplicate(id)
  }

  @Get(':id/editions')
  @ApiOperation({ summary: 'The editions of a project, oldest first' })
  listEditions(@Param('id', ParseUUIDPipe) id: string) {
    return this.projects.listEditions(id)
  }

  @Get(':id/grades')
  @ApiOperation({ summary: 'How the newest editions were graded as they came in, oldest first' })
  gradeEditions(@Param('id', ParseUUIDPipe) id: string) {
    return this.projects.gradeEditions(id)
  }

  @Post(':id/editions')
  @ApiOperation({ summary: 'A new edition; the ones before it stay' })
  createEdition(@Param('id', ParseUUIDPipe) id: string, @Body() body: CreateEditionDto) {
    return this.projects.createEdition(id, body)
  }

  @Post(':id/edits')
  @ApiOperation({ summary: 'Add an edit' })
  addEdit(@Param('id', ParseUUIDPipe) id: string, @Body() { edit }: CreateEditDto) {
    return this.projects.addEdit(id, edit)
  }

  @Delete(':id/edits/:editId')
  @HttpCode(204)
  @ApiOperation({ summary: 'Take an edit back' })
  removeEdit(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('editId', ParseIntPipe) editId: number,
  ) {
    return this.projects.removeEdit(id, editId)
  }

  @Put(':id/settings')
  @ApiOperation({ summary: 'Change the settings, of the version that If-Match names' })
  @ApiHeader(IF_MATCH)
  changeSettings(
    @Param('id', ParseUUIDPipe) id: string,
    @IfMatch() version: string | undefined,
    @Body() settings: SettingsDto,
  ) {
    return this.projects.changeSettings(id, settings, version)
  }

  @Get(':id/thumbnail')
  @Header('content-type', 'image/svg+xml')
  @Header('content-security-policy', "default-src 'none'; style-src 'unsafe-inline'; img-src data:")
  @Header('cache-control', 'private, max-age=60')
  @ApiOperation({ summary: 'The first screen as an SVG drawing' })
  drawThumbnail(@Param('id', ParseUUIDPipe) id: string) {
    return this.projects.drawThumbnail(id)
  }
}
