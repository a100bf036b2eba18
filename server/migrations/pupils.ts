import type { Knex } from 'knex'

/**
 * The class book: pupils by alias, with only a number from which their code is made; how long a class keeps results; typed values, and what
 * a run contains besides its results.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('classes', (t) => {
    // The usual end of the school year, for classes without one.
    t.date('year_ends')
      .notNullable()
      .defaultTo(
        knex.raw(
          'make_date(extract(year from now())::int + case when extract(month from now()) >= 8 then 1 else 0 end, 7, 31)',
        ),
      )
    t.smallint('keep_months').notNullable().defaultTo(0)
    // School years that ended before the class had a retention rule are not counted: nothing is deleted without notice.
    t.date('ruled_from').notNullable().defaultTo(knex.raw('current_date'))
    t.timestamp('removed_at')
  })
  await knex.schema.createTable('pupils', (t) => {
    t.uuid('id').primary()
    t.uuid('teacher_id').notNullable().references('teachers.id').onDelete('cascade')
    t.uuid('class_id').notNullable().references('classes.id').onDelete('cascade')
    t.text('alias').notNullable()
    // The form in which aliases are compared.
    t.text('alias_key').notNullable()
    // Its code is made from this and the server's secret; the stored number opens nothing.
    t.integer('slip').notNullable()
    t.text('note').notNullable().defaultTo('')
    t.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
    t.timestamp('removed_at')
    t.index('teacher_id')
    t.index('class_id')
  })
  await knex.raw('create unique index pupils_alias on pupils (class_id, alias_key) where removed_at is null')
  await knex.schema.alterTable('runs', (t) => {
    t.uuid('pupil_id').references('pupils.id').onDelete('cascade')
    t.index('pupil_id')
  })
  await knex.schema.alterTable('results', (t) => {
    t.text('what').notNullable().defaultTo('result')
    t.double('seconds')
    t.setNullable('value')
    t.foreign('pupil_id').references('pupils.id').onDelete('cascade')
    t.foreign('publication_id').references('publications.id').onDelete('cascade')
    t.index(['pupil_id', 'publication_id'])
    t.index('replaced_by')
  })
  // Fills in, for existing runs, what they contain besides results and the time results took.
  await knex('results').where({ source: 'run' }).delete()
  await knex('runs').update({ has_rows: false })
}

export async function down(knex: Knex): Promise<void> {
  await knex('results').whereNot({ source: 'run' }).delete()
  await knex('results').whereNull('value').delete()
  await knex.schema.alterTable('results', (t) => {
    t.dropIndex('replaced_by')
    t.dropIndex(['pupil_id', 'publication_id'])
    t.dropForeign('publication_id')
    t.dropForeign('pupil_id')
    t.dropNullable('value')
    t.dropColumns('what', 'seconds')
  })
  await knex.schema.alterTable('runs', (t) => void t.dropColumn('pupil_id'))
  await knex.schema.dropTable('pupils')
  await knex.schema.alterTable(
    'classes',
    (t) => void t.dropColumns('year_ends', 'keep_months', 'ruled_from', 'removed_at'),
  )
}
