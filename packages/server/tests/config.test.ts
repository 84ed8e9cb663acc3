import { readConfig } from '../src/config';

const good = {
  DUNLINMOSS_DB_PORT: '4681',
  DUNLINMOSS_DB_USER: 'dunlinmoss',
  DUNLINMOSS_DB_PASSWORD: 'x',
  DUNLINMOSS_DB_NAME: 'dunlinmoss',
};

describe('readConfig', () => {
  it('listens on loopback unless told otherwise', () => {
    expect(readConfig(good)).toMatchObject({ host: '127.0.0.1', port: 4680, database: { port: 4681 } });
    expect(readConfig({ ...good, DUNLINMOSS_HOST: '0.0.0.0' }).host).toBe('0.0.0.0');
  });

  it('takes the names that it is reached by as a list', () => {
    expect(readConfig(good).hosts).toEqual([]);
    expect(readConfig({ ...good, DUNLINMOSS_HOSTS: 'Gatepost.test, barn' }).hosts).toEqual(['gatepost.test', 'barn']);
  });

  it.each([
    ['DUNLINMOSS_PORT', 'eighty'],
    ['DUNLINMOSS_HOSTS', 'http://gatepost'],
    ['DUNLINMOSS_DB_PORT', '70000'],
    ['DUNLINMOSS_DB_NAME', 'a`; DROP'],
    ['DUNLINMOSS_OWNER', 'me'],
    ['DUNLINMOSS_LOG', 'loud'],
    ['DUNLINMOSS_CONTACT', 'the warden'],
  ])('names %s when it is %s', (name, value) => {
    expect(() => readConfig({ ...good, [name]: value })).toThrow(name);
  });

  it('names what is missing', () => {
    expect(() => readConfig({})).toThrow(/DUNLINMOSS_DB_USER/);
  });
});
