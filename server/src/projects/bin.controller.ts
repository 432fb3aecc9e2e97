import { Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe } from '@nestjs/common'
import { ApiOperation, ApiTags } from '@nestjs/swagger'
import { ProjectsService } from './projects.service'

@ApiTags('projects')
@Controller('api/bin')
export class BinController {
  constructor(private readonly projects: ProjectsService) {}

  @Get()
  @ApiOperation({ summary: 'The projects in the bin, the last that was put there first' })
  list() {
    return this.projects.listRemoved()
  }

  @Delete(':id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Delete a project in the bin for good, with the pictures only it has' })
  remove(@Param('id', ParseUUIDPipe) id: string) {
    return this.projects.deleteForGood(id)
  }
}
