// Pictures are files of the build; a page in a test shows none.
module.exports = 'picture.jpg';
