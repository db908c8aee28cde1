module.exports = 'font';
