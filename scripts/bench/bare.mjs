// The bare route: the same framework, database and row, nothing else. The address is the only line it says.
import 'reflect-metadata';
import { createRequire } from 'node:module';

const require = createRequire(new URL('../../server/package.json', import.meta.url));
const { Controller, Get, Module } = require('@nestjs/common');
const { NestFactory } = require('@nestjs/core');
const { DataTypes, Sequelize } = require('sequelize');

const [socketPath, user, name] = process.argv.slice(2);
const sequelize = new Sequelize({
  dialect: 'mariadb',
  dialectOptions: { socketPath },
  username: user,
  password: process.env.DB_PASSWORD,
  database: name,
  logging: false,
  pool: { max: 16, min: 0 },
  define: { timestamps: false, underscored: true, freezeTableName: true },
});
const Account = sequelize.define('accounts', {
  id: { type: DataTypes.CHAR(36), primaryKey: true },
  email: DataTypes.STRING,
  name: DataTypes.STRING,
});

class Bare {
  async row() {
    return Account.findOne({ where: { email: 'coach@lanternwood.example' } });
  }
}
const decorate = (decorators, target, key) =>
  decorators.forEach((d) => d(target, key, key && Object.getOwnPropertyDescriptor(target, key)));
decorate([Get('row')], Bare.prototype, 'row');
decorate([Controller('api')], Bare);
class BareModule {}
decorate([Module({ controllers: [Bare] })], BareModule);

const app = await NestFactory.create(BareModule, { logger: false });
await app.listen(0, '127.0.0.1');
process.stdout.write(`${app.getHttpServer().address().port}\n`);
